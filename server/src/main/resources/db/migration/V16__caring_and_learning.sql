-- How slowly a dose was really drunk.
alter table dose_taken add column over_minutes integer;

-- A phase that comes after another one.
alter table course add column follows_id uuid references course;
create index course_follows on course (follows_id) where follows_id is not null;

-- Somebody outside the house was asked how it goes.
create table asked_after (
    id uuid primary key,
    household_id uuid not null references household,
    course_id uuid not null references course on delete cascade,
    on_day date not null,
    words varchar(500) not null,
    asked_by varchar(120) not null,
    struck_at timestamptz,
    struck_by varchar(120),
    struck_reason varchar(300)
);
create index asked_after_course on asked_after (course_id, on_day);
create index asked_after_household on asked_after (household_id);

-- What happened to somebody after something was taken.
create table reaction (
    id uuid primary key,
    household_id uuid not null references household,
    person_id uuid not null references person,
    course_id uuid references course,
    taxa varchar(1000) not null,
    signs varchar(400) not null,
    degree varchar(12) not null,
    hours_after double precision,
    on_day date not null,
    words varchar(500) not null,
    noted_by varchar(120) not null,
    struck_at timestamptz,
    struck_by varchar(120),
    struck_reason varchar(300)
);
create index reaction_person on reaction (person_id, on_day);
create index reaction_household on reaction (household_id);

-- A plant used as it is: a leaf on a sting, a handful eaten, a piece chewed.
create table direct_use (
    id uuid primary key,
    household_id uuid not null references household,
    person_id uuid not null references person,
    taxon_id varchar(120) not null,
    part varchar(20) not null,
    manner varchar(20) not null,
    way varchar(10) not null,
    stand_id uuid references stand,
    lot_id uuid references lot,
    grams double precision,
    skin varchar(20),
    for_trial boolean not null,
    on_day date not null,
    words varchar(300) not null,
    ask_on date,
    asked_on date,
    noted_by varchar(120) not null,
    struck_at timestamptz,
    struck_by varchar(120),
    struck_reason varchar(300)
);
create index direct_use_person on direct_use (person_id, on_day);
create index direct_use_household on direct_use (household_id, on_day);
create index direct_use_open on direct_use (household_id, ask_on) where ask_on is not null and asked_on is null;

-- A complaint in the person's own words, scored day by day beside a course.
create table diary (
    id uuid primary key references course on delete cascade,
    household_id uuid not null references household,
    complaint varchar(160) not null,
    begun_on date not null
);
create index diary_household on diary (household_id);
create table diary_day (
    id uuid primary key,
    household_id uuid not null references household,
    course_id uuid not null references course on delete cascade,
    on_day date not null,
    score integer not null,
    words varchar(300) not null,
    noted_by varchar(120) not null,
    struck_at timestamptz,
    struck_by varchar(120),
    struck_reason varchar(300)
);
create unique index diary_day_once on diary_day (course_id, on_day) where struck_at is null;
create index diary_day_household on diary_day (household_id);
