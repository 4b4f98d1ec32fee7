-- A lot says how far along it is, what it is and what it stands in, each on its own; its herbs and traits have tables.
alter table lot add column stage varchar(10);
alter table lot add column vessel varchar(10);
update lot set
    stage = case kind
        when 'STAND' then 'STAND'
        when 'HARVEST' then 'HARVEST'
        when 'BATCH' then 'BATCH'
        when 'FLASK' then 'FILLED'
        when 'BOTTLE' then 'FILLED'
        when 'TIN' then 'FILLED'
        else 'STOCK'
    end,
    vessel = case kind
        when 'STAND' then 'GROUND'
        when 'HARVEST' then 'BASKET'
        when 'FLASK' then 'FLASK'
        when 'BOTTLE' then 'BOTTLE'
        when 'TIN' then 'TIN'
        when 'SPIRIT' then 'BOTTLE'
        when 'OIL' then 'BOTTLE'
        when 'WAX' then 'BLOCK'
        else 'JAR'
    end;
alter table lot alter column form type varchar(20);
update lot set form = case
    when kind = 'STAND' then 'PLANT'
    when kind in ('HARVEST', 'JAR') then 'HERB'
    when kind = 'SPIRIT' then 'SPIRIT'
    when kind = 'OIL' then 'CARRIER_OIL'
    when kind = 'WAX' then 'WAX'
    when form = 'OIL' then 'INFUSED_OIL'
    when form is null then 'TINCTURE'
    else form
end;
alter table lot alter column stage set not null;
alter table lot alter column vessel set not null;
alter table lot alter column form set not null;

create table lot_herb (
    lot_id uuid not null references lot,
    taxon_id varchar(80) not null,
    part varchar(20) not null,
    dried_g double precision not null check (dried_g >= 0),
    primary key (lot_id, taxon_id, part)
);
insert into lot_herb (lot_id, taxon_id, part, dried_g)
select l.id, h ->> 'taxonId', h ->> 'part', sum((h ->> 'driedG')::double precision)
from lot l, jsonb_array_elements(l.herbs::jsonb) h
group by 1, 2, 3;
create index lot_herb_taxon on lot_herb (taxon_id);

create table lot_trait (
    lot_id uuid not null references lot,
    trait varchar(20) not null,
    primary key (lot_id, trait)
);
insert into lot_trait select id, 'DENATURED' from lot where denatured;
insert into lot_trait select id, 'PYRROLIZIDINE' from lot where pyrrolizidine;
insert into lot_trait select id, 'HONEY' from lot where honey;

drop index lot_household;
alter table lot drop column kind, drop column herbs, drop column denatured, drop column pyrrolizidine, drop column honey;
create index lot_household on lot (household_id, stage, form);

-- Until when something that is counted in hours may be used, in the room and cold.
alter table lot add column room_until timestamptz;
alter table lot add column cold_until timestamptz;

-- What came into a lot and went out of it, one line each; what is left is their sum.
create table lot_change (
    id uuid primary key,
    household_id uuid not null references household,
    lot_id uuid not null references lot,
    what varchar(12) not null,
    delta double precision not null,
    subject_id uuid,
    on_day date not null,
    at timestamptz not null,
    noted_by varchar(120) not null,
    struck_at timestamptz,
    struck_by varchar(120),
    struck_reason varchar(300)
);
create index lot_change_lot on lot_change (lot_id);
create index lot_change_subject on lot_change (subject_id);
insert into lot_change (id, household_id, lot_id, what, delta, on_day, at, noted_by)
select gen_random_uuid(), household_id, id, 'BEFORE', remaining, made_on, changed_at, changed_by from lot where stage <> 'STAND';

-- What happened is never erased: it is struck out, with a reason, and leaves every reckoning.
alter table weighing add column struck_at timestamptz, add column struck_by varchar(120), add column struck_reason varchar(300);
alter table shake add column struck_at timestamptz, add column struck_by varchar(120), add column struck_reason varchar(300);
alter table cold_spoon add column struck_at timestamptz, add column struck_by varchar(120), add column struck_reason varchar(300);
alter table dose_taken add column struck_at timestamptz, add column struck_by varchar(120), add column struck_reason varchar(300);
alter table plant_trial add column struck_at timestamptz, add column struck_by varchar(120), add column struck_reason varchar(300);
alter table shake drop constraint shake_batch_id_on_day_key;
create unique index shake_day on shake (batch_id, on_day) where struck_at is null;
alter table dose_taken drop constraint dose_taken_course_id_on_day_slot_key;
create unique index dose_taken_slot on dose_taken (course_id, on_day, slot) where struck_at is null;

-- A stored plan is a document with a schema number, read by its own record; an old batch always opens.
alter table batch alter column plan type jsonb using plan::jsonb;
update batch set plan = jsonb_set(plan, '{schema}', '1');
alter table batch alter column kind type varchar(20);
update batch set kind = 'INFUSED_OIL' where kind = 'OIL';

-- Which steps of a batch are done, and what was really poured where it differed.
create table batch_step (
    id uuid primary key,
    household_id uuid not null references household,
    batch_id uuid not null references batch,
    step int not null check (step >= 0),
    really varchar(200) not null,
    done_at timestamptz not null,
    done_by varchar(120) not null,
    struck_at timestamptz,
    struck_by varchar(120),
    struck_reason varchar(300)
);
create unique index batch_step_step on batch_step (batch_id, step) where struck_at is null;

-- What this household's spoon, cup or handful holds: weighed once, of one lot or one plant's part, or filled with water.
create table house_measure (
    id uuid primary key,
    household_id uuid not null references household,
    measure varchar(20) not null,
    lot_id uuid references lot,
    taxon_id varchar(80),
    part varchar(20),
    fresh boolean not null,
    of_one double precision not null check (of_one > 0),
    noted_on date not null,
    noted_by varchar(120) not null,
    struck_at timestamptz,
    struck_by varchar(120),
    struck_reason varchar(300)
);
create index house_measure_household on house_measure (household_id, measure);

-- What lay under a pressed oil once it had settled.
alter table batch add column water varchar(12);
