-- Picked in handfuls or a bag, weighed at home; which sex where it matters; how much of each plant.
alter table harvest alter column mass_g drop not null,
    add column measured_as varchar(120) not null default '',
    add column sex varchar(20),
    add column share_per_plant double precision;
create index harvest_unweighed on harvest (household_id, on_day) where mass_g is null;

-- How many there were, year by year.
create table stand_count (
    id uuid primary key,
    household_id uuid not null references household,
    stand_id uuid not null references stand on delete cascade,
    on_day date not null,
    plants integer not null,
    drought boolean not null,
    picked_by_others boolean not null,
    words varchar(300) not null,
    counted_by varchar(120) not null,
    struck_at timestamptz,
    struck_by varchar(120),
    struck_reason varchar(300)
);
create index stand_count_stand on stand_count (stand_id, on_day);
create index stand_count_household on stand_count (household_id);

-- Who touched a plant that irritates, and what came of it.
create table contact (
    id uuid primary key,
    household_id uuid not null references household,
    person_id uuid not null references person,
    taxon_id varchar(120) not null,
    on_day date not null,
    reaction varchar(20) not null,
    words varchar(300) not null,
    noted_by varchar(120) not null,
    struck_at timestamptz,
    struck_by varchar(120),
    struck_reason varchar(300)
);
create index contact_person on contact (person_id, taxon_id, on_day);
create index contact_household on contact (household_id, on_day);
