-- To take back what was noted for safety is a decision of its own: who signed, who may look as a second, what was taken back.
create table countersignature (
    id uuid primary key,
    household_id uuid not null references household,
    signed_by uuid not null references account,
    signed_name varchar(120) not null,
    for_account uuid not null references account,
    at timestamptz not null,
    used_for uuid
);

create table second_observer (
    id uuid primary key,
    household_id uuid not null references household,
    name varchar(120) not null,
    why varchar(300) not null,
    named_at timestamptz not null,
    named_by varchar(120) not null,
    ended_on date
);
create index second_observer_household on second_observer (household_id);

create table loosened (
    id uuid primary key,
    household_id uuid not null references household,
    subject_id uuid not null,
    safeguard varchar(30) not null,
    was varchar(1000) not null,
    reason varchar(300) not null,
    loosened_by varchar(120) not null,
    second varchar(120),
    at timestamptz not null,
    plants varchar(1000) not null
);
create index loosened_subject on loosened (subject_id, at);

-- The doubt that a look took away comes back with the look struck out.
alter table stand_identification add column cleared_reason varchar(1000);
alter table stand_identification add column cleared_at timestamptz;

-- A filling that was struck out keeps where it would have come from, and is never used.
alter table lot add column never_filled boolean not null default false;

-- A second doubt is added to the first, never put in its place.
alter table lot alter column doubt type varchar(1000);

-- The least time between two doses belongs to the person and the plant, so a single use has its hour too; and what was
-- swallowed out of a bottle without a course is kept in mL.
alter table direct_use add column noted_at timestamptz;
alter table direct_use add column ml double precision;

-- A first trial speaks for its way; of older ones nobody knows which it was, so they speak for either.
alter table plant_trial add column way varchar(10);
