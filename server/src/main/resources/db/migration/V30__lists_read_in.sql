-- Lists kept elsewhere and read in: which lines brought what, so that all of it can be taken back at once.
create table taken_list (
    id uuid primary key,
    household_id uuid not null references household,
    list varchar(60) not null,
    file varchar(200) not null,
    lines integer not null,
    taken_at timestamptz not null,
    taken_by varchar(120) not null,
    back_at timestamptz,
    back_by varchar(120)
);
create index taken_list_household on taken_list (household_id, taken_at);

create table taken_line (
    id uuid primary key,
    household_id uuid not null references household,
    list_id uuid not null references taken_list,
    line integer not null,
    handle varchar(200) not null,
    name varchar(300) not null
);
create index taken_line_list on taken_line (list_id);

-- What was picked before anything was written down here: used up long ago, and yet a stand remembers it.
create table past_harvest (
    id uuid primary key,
    household_id uuid not null references household,
    stand_id uuid not null references stand,
    part varchar(40) not null,
    in_year integer not null check (in_year between 1900 and 2200),
    mass_g double precision check (mass_g > 0),
    share_taken double precision check (share_taken between 0 and 1),
    words varchar(300) not null default '',
    noted_by varchar(120) not null
);
create index past_harvest_stand on past_harvest (stand_id, part, in_year);
create index past_harvest_household on past_harvest (household_id);
