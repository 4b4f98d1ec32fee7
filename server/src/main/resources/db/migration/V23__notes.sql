-- What somebody writes down about a thing of the house, a place or a day, with pictures, and when they come back.
create table note (
    id uuid primary key,
    household_id uuid not null references household,
    version bigint not null,
    changed_by varchar(120) not null,
    changed_at timestamptz not null,
    about varchar(20),
    about_id varchar(120),
    on_day date not null,
    written_at timestamptz not null,
    written_by varchar(120) not null,
    words varchar(10000) not null,
    colour varchar(200) not null,
    clarity varchar(200) not null,
    smell varchar(200) not null,
    feel varchar(200) not null,
    taste varchar(200) not null,
    place varchar(300) not null,
    latitude double precision,
    longitude double precision,
    come_back varchar(20),
    come_back_on date,
    been_back_on date,
    been_back_by varchar(120),
    thrown_away_at timestamptz,
    check ((about is null) = (about_id is null))
);
create index note_thing on note (household_id, about, about_id, on_day desc, id desc);
create index note_day on note (household_id, on_day desc, id desc);
create index note_waiting on note (household_id) where come_back is not null and been_back_on is null;
create index note_placed on note (household_id) where latitude is not null;

create table note_picture (
    id uuid primary key,
    household_id uuid not null references household,
    note_id uuid not null references note,
    added_by varchar(120) not null,
    width integer not null,
    height integer not null,
    jpeg bytea not null
);
create index note_picture_note on note_picture (note_id);
create index note_picture_household on note_picture (household_id);
