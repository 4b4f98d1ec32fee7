-- Who looked, at which plants, and what was said when asked again.
alter table stand_identification add column looked_by uuid;
alter table stand_identification add column other_plants boolean not null default false;
alter table stand_identification add column again text not null default '[]';

-- Medicines by the name on the packet, comma-separated; their classes are looked up.
alter table person add column medicine_names text not null default '';

-- The trainer: when a pair of look-alikes comes back for somebody, and how often a character was misread.
create table training_box (
    id uuid primary key,
    household_id uuid not null references household,
    account_id uuid not null,
    a varchar(80) not null,
    b varchar(80) not null,
    box int not null check (box between 1 and 5),
    due_on date not null,
    asked int not null,
    wrong int not null,
    unique (household_id, account_id, a, b)
);
create table character_skill (
    id uuid primary key,
    household_id uuid not null references household,
    account_id uuid not null,
    character_id varchar(80) not null,
    asked int not null,
    wrong int not null check (wrong between 0 and asked),
    unique (household_id, account_id, character_id)
);
