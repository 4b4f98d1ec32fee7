-- A household's own cards and changes of shipped ones, as written; figures it has checked; tags; photos.
create table own_card (
    id uuid primary key,
    household_id uuid not null references household,
    version bigint not null,
    changed_by varchar(120) not null,
    changed_at timestamptz not null,
    taxon_id varchar(80) not null,
    yaml text not null,
    unique (household_id, taxon_id)
);

create table figure_check (
    id uuid primary key,
    household_id uuid not null references household,
    taxon_id varchar(80) not null,
    figure varchar(300) not null,
    book varchar(200) not null,
    page varchar(60) not null,
    checked_by varchar(120) not null,
    checked_at timestamptz not null,
    unique (household_id, taxon_id, figure)
);

create table tag (
    id uuid primary key,
    household_id uuid not null references household,
    stand_id uuid not null references stand,
    identification_id uuid not null references stand_identification,
    stake varchar(60) not null,
    place varchar(300) not null,
    latitude double precision,
    longitude double precision,
    confirmed_on date not null,
    tagged_by varchar(120) not null,
    unique (household_id, stand_id, stake)
);
create index tag_stand on tag (stand_id);

create table photo (
    id uuid primary key,
    household_id uuid not null references household,
    stand_id uuid not null references stand,
    taken_on date not null,
    added_by varchar(120) not null,
    words varchar(300) not null,
    width integer not null,
    height integer not null,
    latitude double precision,
    longitude double precision,
    jpeg bytea not null
);
create index photo_stand on photo (stand_id);

alter table harvest add column tag_id uuid references tag;
alter table stand_identification add column conditions varchar(200) not null default '';
alter table household add column region varchar(60) not null default 'merrow';
