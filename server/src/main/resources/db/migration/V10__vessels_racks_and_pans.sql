-- What a pan of oil and decoction weighed, until the water in it was gone.
create table pan_weighing (
    id uuid primary key,
    household_id uuid not null references household,
    batch_id uuid not null references batch,
    mass_g double precision not null check (mass_g > 0),
    at timestamptz not null,
    weighed_by varchar(120) not null,
    struck_at timestamptz,
    struck_by varchar(120),
    struck_reason varchar(300)
);
create index pan_weighing_batch on pan_weighing (batch_id, at);

-- Every filling makes a new version of its batch, so that one sent twice is not done twice.
alter table batch add column fills int not null default 0;

-- The household's own jars, bottles and tins, so many of a size; a lot stands in one of them until nothing of it is left.
create table vessel (
    id uuid primary key,
    household_id uuid not null references household,
    version bigint not null,
    changed_by varchar(120) not null,
    changed_at timestamptz not null,
    kind varchar(20) not null,
    capacity_ml double precision not null check (capacity_ml > 0),
    count int not null check (count >= 0),
    note varchar(120) not null
);
create index vessel_household on vessel (household_id);
alter table lot add column vessel_id uuid references vessel;
alter table lot add column vessel_ml double precision;
create index lot_vessel on lot (vessel_id) where vessel_id is not null;

-- A hold for water in oil is lifted by a weight or a look, never by a word.
alter table lot add column held_by_the_work boolean not null default false;
update lot set held_by_the_work = true from batch b where b.id = lot.id and b.kind = 'INFUSED_OIL' and lot.state = 'HOLD';

alter table lot_trait alter column trait type varchar(40);

-- How a lot is dried, how long this rack took, and each test of a stem or leaf with its time.
alter table drying_run add column method varchar(20) not null default 'SCREEN';
alter table drying_run add column washed boolean not null default false;
alter table drying_run add column stripped_before boolean not null default false;
alter table drying_run add column dried_hours double precision;
alter table drying_run alter column method drop default;
alter table drying_run alter column washed drop default;
alter table drying_run alter column stripped_before drop default;
create index drying_run_speed on drying_run (household_id, rack, part) where dried_hours is not null;
create table dry_test (
    id uuid primary key,
    household_id uuid not null references household,
    run_id uuid not null references drying_run,
    at timestamptz not null,
    rack_hours double precision not null check (rack_hours >= 0),
    test varchar(20) not null,
    tried_by varchar(120) not null,
    struck_at timestamptz,
    struck_by varchar(120),
    struck_reason varchar(300)
);
create index dry_test_run on dry_test (run_id, at);
insert into dry_test (id, household_id, run_id, at, rack_hours, test, tried_by)
select gen_random_uuid(), household_id, id, changed_at,
       coalesce((select max(w.rack_hours) from weighing w where w.run_id = r.id), 0), physical_test, changed_by
from drying_run r where physical_test is not null;
update drying_run r set dried_hours = (select max(w.rack_hours) from weighing w where w.run_id = r.id)
where r.status = 'JARRED';
alter table drying_run drop column physical_test;

-- A basket that was laid out to dry is not taken for something fresh.
alter table lot add column racked boolean not null default false;
update lot set racked = true from drying_run r where r.harvest_id = lot.id;

-- The shelf: the label's own number, the desiccant, and why a line of the account is there.
alter table lot add column supplier_lot varchar(120) not null default '';
alter table lot alter column supplier_lot drop default;
alter table lot add column desiccant_on date;
create index lot_desiccant on lot (household_id, desiccant_on) where desiccant_on is not null;
alter table lot_change add column reason varchar(300) not null default '';
alter table lot_change alter column reason drop default;
