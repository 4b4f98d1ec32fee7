-- Ids made by clients: what was asked for under each, so that a repetition is told from another request.
create table received (
    household_id uuid not null references household,
    id uuid not null,
    what varchar(40) not null,
    fingerprint varchar(64) not null,
    at timestamptz not null,
    primary key (household_id, id)
);

-- The last number given of each kind and day: J261126- -> 3
create table code_counter (
    household_id uuid not null references household,
    prefix varchar(20) not null,
    last int not null,
    primary key (household_id, prefix)
);
insert into code_counter (household_id, prefix, last)
select household_id, substring(code from '^(.*-)'), max(substring(code from '-([0-9]+)$')::int)
from (select household_id, code from lot union all select household_id, code from harvest) c
where code ~ '^[A-Z][0-9]{6}-[0-9]{1,6}$'
group by 1, 2;

-- A verdict belongs to the plant it was asked about, and to the moment the server kept it.
alter table stand_identification add column for_taxon varchar(80);
alter table stand_identification add column kept_at timestamptz;
update stand_identification i
set for_taxon = case
        when i.status = 'CONFIRMED' and i.taxon_id is not null and (i.verdict::jsonb ->> 'genus') is null then i.taxon_id
        else s.taxon_id
    end,
    kept_at = i.on_day + interval '12 hours'
from stand s
where s.id = i.stand_id;
alter table stand_identification alter column for_taxon set not null;
alter table stand_identification alter column kept_at set not null;

alter table stand add column doubted_at timestamptz;
update stand set doubted_at = changed_at where doubted;

-- What a warning said when it was acknowledged: another one of the same code is asked about anew.
alter table audit_entry add column message text not null default '';
create index audit_entry_subject on audit_entry (subject_id);

alter table course add column ended_on date;

-- What lies on the simulated scale, for every instance alike.
create table scale_placement (
    id uuid primary key,
    household_id uuid not null references household,
    at timestamptz not null,
    true_g double precision not null
);
create index scale_placement_at on scale_placement (at);

-- Sign-in tries, counted together by all instances.
create table sign_in_bucket (
    id varchar(300) primary key,
    state bytea,
    expires_at bigint
);

-- Honey in it, through any chain: not for an infant.
alter table lot add column honey boolean not null default false;

-- What a made lot is, apart from the vessel it stands in.
alter table lot add column form varchar(12);
update lot set form = b.kind from batch b where b.id = lot.id;
update lot set form = b.kind from lot_link l join batch b on b.id = l.from_lot
where l.to_lot = lot.id and lot.kind in ('BOTTLE', 'TIN', 'FLASK') and lot.form is null;

alter table batch add column filled_on date;

alter table account add column disabled boolean not null default false;
alter table account add column reset_hash varchar(200);
alter table account add column reset_until timestamptz;

-- How far the demo's calendar got; empty outside the demo.
create table demo_clock (
    one boolean primary key check (one),
    simulated timestamptz not null,
    real timestamptz not null
);

-- What is learned is kept as it changes, not read again from everything there ever was.
alter table drying_run add column dried_g double precision;
update drying_run r set dried_g = (
    select w.mass_g from weighing w where w.run_id = r.id order by w.rack_hours desc limit 1)
where r.status = 'JARRED';
alter table batch add column marc_kept_ml_per_g double precision;

-- What is read every day is what is under way.
create index lot_there on lot (household_id, made_on desc) where remaining > 0;
create index lot_used_up on lot (household_id, made_on desc) where remaining <= 0;
create index drying_run_started on drying_run (household_id, status, started_at desc);
create index drying_run_learned on drying_run (household_id, taxon_id, part, started_at desc) where dried_g is not null;
create index batch_started on batch (household_id, status, started_on desc);
create index batch_pressed on batch (household_id, press_on desc) where marc_kept_ml_per_g is not null;
create index course_over on course (household_id, status, last_day);
create index course_person on course (person_id, status, last_day);
create index dose_taken_course on dose_taken (course_id, on_day);
create index dose_taken_day on dose_taken (household_id, on_day);
create index harvest_day on harvest (household_id, on_day desc);
create index shake_batch on shake (batch_id, on_day);
create index stand_identification_household on stand_identification (household_id, stand_id, on_day desc);
create index cold_spoon_batch on cold_spoon (batch_id);
