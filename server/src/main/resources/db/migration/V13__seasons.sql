-- Where the household and each of its stands lie, so that months shift with latitude and height.
alter table household add column latitude double precision, add column elevation_m double precision;
alter table stand add column latitude double precision, add column longitude double precision,
    add column elevation_m double precision, add column growing_since integer;

-- A stage that was seen to begin at a stand: "first flowers".
create table sighting (
    id uuid primary key,
    household_id uuid not null references household,
    stand_id uuid not null references stand on delete cascade,
    stage varchar(20) not null,
    on_day date not null,
    seen_by varchar(120) not null,
    struck_at timestamptz,
    struck_by varchar(120),
    struck_reason varchar(300)
);
create index sighting_stand on sighting (stand_id, on_day);
create index sighting_household on sighting (household_id);

-- The household's own readings of the weather, a line a day.
create table weather_day (
    id uuid primary key,
    household_id uuid not null references household,
    on_day date not null,
    low_c double precision not null,
    high_c double precision not null,
    rain_mm double precision not null,
    humidity double precision not null,
    unique (household_id, on_day)
);

-- The household's own map: outlines and names, in degrees. Points are [longitude, latitude], as in GeoJSON.
create table ground_shape (
    id uuid primary key,
    household_id uuid not null references household,
    version bigint not null,
    changed_by varchar(120) not null,
    changed_at timestamptz not null,
    kind varchar(20) not null,
    name varchar(120) not null,
    points jsonb not null
);
create index ground_shape_household on ground_shape (household_id);

-- What was left standing and why, and when to come back for what was not ready.
alter table harvest add column left_standing varchar(300) not null default '', add column return_on date;
create index harvest_return on harvest (household_id, return_on) where return_on is not null;
