-- Until when an ageing hold lasts; which school the household keeps to, where it chose one; and what the cold spoons of its salves showed.
create table household_school (
    id uuid primary key,
    household_id uuid not null references household,
    question varchar(40) not null,
    school varchar(40) not null,
    chosen_by varchar(120) not null,
    chosen_at timestamptz not null,
    unique (household_id, question)
);

create table cold_spoon (
    id uuid primary key,
    household_id uuid not null references household,
    batch_id uuid not null references batch,
    wax varchar(60) not null,
    above_plan double precision not null,
    verdict varchar(12) not null,
    noted_by varchar(120) not null,
    noted_on date not null
);
create index cold_spoon_wax on cold_spoon (household_id, wax);

alter table lot add column held_until date;
