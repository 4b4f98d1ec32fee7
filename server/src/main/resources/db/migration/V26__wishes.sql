-- What a household wants in hand, what it has to do it with, how much grows where, and the plan it goes by.
create table wish (
    id uuid primary key,
    household_id uuid not null references household,
    version bigint not null,
    changed_by varchar(120) not null,
    changed_at timestamptz not null,
    place integer not null,
    words varchar(200) not null,
    product varchar(20) not null,
    amount double precision not null check (amount > 0),
    from_day date not null,
    until_day date not null check (until_day >= from_day),
    evenly boolean not null,
    may_buy boolean not null,
    person_id uuid references person,
    thrown_away_at timestamptz
);
create index wish_place on wish (household_id, place) where thrown_away_at is null;

create table wish_herb (
    wish_id uuid not null references wish on delete cascade,
    place integer not null,
    taxon_id varchar(120) not null,
    part varchar(20) not null,
    primary key (wish_id, place)
);

create table year_means (
    id uuid primary key,
    household_id uuid not null unique references household,
    version bigint not null,
    changed_by varchar(120) not null,
    changed_at timestamptz not null,
    rack_m2 double precision not null check (rack_m2 >= 0),
    hours_per_week double precision not null check (hours_per_week >= 0)
);

create table stand_bears (
    id uuid primary key,
    household_id uuid not null references household,
    version bigint not null,
    changed_by varchar(120) not null,
    changed_at timestamptz not null,
    stand_id uuid not null references stand on delete cascade,
    part varchar(20) not null,
    fresh_g double precision not null check (fresh_g > 0),
    unique (household_id, stand_id, part)
);

create table planned_pick (
    id uuid primary key,
    household_id uuid not null references household,
    stand_id uuid not null references stand on delete cascade,
    part varchar(20) not null,
    week_of date not null,
    fresh_g double precision not null
);
create index planned_pick_week on planned_pick (household_id, week_of);

create table planned_wish (
    id uuid primary key,
    household_id uuid not null references household,
    wish_id uuid not null references wish on delete cascade,
    met double precision not null,
    kept_on date not null
);
create index planned_wish_household on planned_wish (household_id);
