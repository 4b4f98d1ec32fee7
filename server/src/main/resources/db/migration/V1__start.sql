-- Every table of a household carries household_id; Hibernate filters by it, native queries must.

create table household (
    id uuid primary key,
    name varchar(120) not null,
    zone varchar(60) not null,
    created_at timestamptz not null
);

create table account (
    id uuid primary key,
    household_id uuid not null references household,
    username varchar(60) not null unique,
    display_name varchar(120) not null,
    password_hash varchar(200) not null,
    role varchar(10) not null
);

create table person (
    id uuid primary key,
    household_id uuid not null references household,
    version bigint not null,
    changed_by varchar(120) not null,
    changed_at timestamptz not null,
    name varchar(120) not null,
    born_on date not null,
    weight_kg double precision,
    height_cm double precision,
    trimester int,
    breast_feeding boolean not null,
    conditions text not null,
    medicines text not null,
    allergy_families text not null,
    operation_on date,
    recipient boolean not null
);
create index person_household on person (household_id);

create table audit_entry (
    id uuid primary key,
    household_id uuid not null references household,
    at timestamptz not null,
    member varchar(120) not null,
    what varchar(60) not null,
    subject_id uuid not null,
    code varchar(60) not null,
    reason text not null
);

create table stand (
    id uuid primary key,
    household_id uuid not null references household,
    version bigint not null,
    changed_by varchar(120) not null,
    changed_at timestamptz not null,
    taxon_id varchar(80) not null,
    name varchar(120) not null,
    place varchar(120) not null,
    ground varchar(20) not null,
    permission varchar(20) not null,
    plenty varchar(20) not null,
    protected_species boolean not null,
    neighbour varchar(120),
    doubted boolean not null,
    doubt_reason text
);
create index stand_household on stand (household_id);

create table stand_identification (
    id uuid primary key,
    household_id uuid not null references household,
    stand_id uuid not null references stand,
    on_day date not null,
    stage varchar(20) not null,
    status varchar(20) not null,
    taxon_id varchar(80),
    observations text not null,
    verdict text not null,
    core_version varchar(20) not null,
    identified_by varchar(120) not null,
    second_observer varchar(120),
    book varchar(300)
);
create index stand_identification_stand on stand_identification (stand_id, on_day);

create table harvest (
    id uuid primary key,
    household_id uuid not null references household,
    stand_id uuid not null references stand,
    code varchar(40) not null,
    taxon_id varchar(80) not null,
    part varchar(20) not null,
    on_day date not null,
    mass_g double precision not null check (mass_g > 0),
    share_taken double precision not null check (share_taken between 0 and 1),
    weather varchar(300) not null,
    tells text not null,
    examined_singly boolean not null,
    picked_by varchar(120) not null,
    unique (household_id, code)
);
create index harvest_stand on harvest (stand_id, on_day);

create table drying_run (
    id uuid primary key,
    household_id uuid not null references household,
    version bigint not null,
    changed_by varchar(120) not null,
    changed_at timestamptz not null,
    harvest_id uuid not null unique references harvest,
    code varchar(40) not null,
    taxon_id varchar(80) not null,
    part varchar(20) not null,
    rack varchar(120) not null,
    started_at timestamptz not null,
    fresh_g double precision not null check (fresh_g > 0),
    moisture_low double precision not null,
    moisture_high double precision not null,
    target_moisture double precision not null,
    temperature_c double precision,
    relative_humidity double precision,
    physical_test varchar(20),
    mould_seen boolean not null,
    status varchar(20) not null,
    paused_since timestamptz,
    paused_seconds bigint not null
);
create index drying_run_household on drying_run (household_id, status);

create table weighing (
    id uuid primary key,
    household_id uuid not null references household,
    run_id uuid not null references drying_run,
    at timestamptz not null,
    rack_hours double precision not null check (rack_hours >= 0),
    mass_g double precision not null check (mass_g > 0),
    weighed_by varchar(120) not null,
    source varchar(10) not null
);
create index weighing_run on weighing (run_id, rack_hours);

-- Everything that can be traced is a lot: stand, harvest, jar, spirit, oil, wax, batch, bottle, tin.
create table lot (
    id uuid primary key,
    household_id uuid not null references household,
    version bigint not null,
    changed_by varchar(120) not null,
    changed_at timestamptz not null,
    code varchar(40) not null,
    kind varchar(12) not null,
    name varchar(160) not null,
    taxon_id varchar(80),
    part varchar(20),
    unit varchar(4) not null,
    amount double precision not null check (amount >= 0),
    remaining double precision not null check (remaining >= 0),
    strength_percent double precision,
    moisture_low double precision,
    moisture_high double precision,
    dried_g_per_unit_low double precision,
    dried_g_per_unit_high double precision,
    herbs text not null,
    route varchar(10) not null,
    denatured boolean not null,
    pyrrolizidine boolean not null,
    made_on date not null,
    opened_on date,
    best_before date,
    state varchar(12) not null,
    state_reason text,
    held_reason text,
    place varchar(120) not null,
    holder varchar(120),
    unique (household_id, code)
);
create index lot_household on lot (household_id, kind, state);

create table lot_link (
    id uuid primary key,
    household_id uuid not null references household,
    from_lot uuid not null references lot,
    to_lot uuid not null references lot,
    amount double precision not null,
    unit varchar(4) not null,
    unique (from_lot, to_lot)
);
create index lot_link_from on lot_link (household_id, from_lot);
create index lot_link_to on lot_link (household_id, to_lot);

create table batch (
    id uuid primary key references lot,
    household_id uuid not null references household,
    version bigint not null,
    changed_by varchar(120) not null,
    changed_at timestamptz not null,
    kind varchar(12) not null,
    status varchar(12) not null,
    started_on date not null,
    press_on date,
    plan text not null,
    core_version varchar(20) not null,
    yield_amount double precision
);
create index batch_household on batch (household_id, status);

create table shake (
    id uuid primary key,
    household_id uuid not null references household,
    batch_id uuid not null references batch,
    on_day date not null,
    shaken_by varchar(120) not null,
    unique (batch_id, on_day)
);

create table course (
    id uuid primary key,
    household_id uuid not null references household,
    version bigint not null,
    changed_by varchar(120) not null,
    changed_at timestamptz not null,
    person_id uuid not null references person,
    lot_id uuid not null references lot,
    purpose varchar(160),
    way varchar(10) not null,
    plan text not null,
    start_on date not null,
    last_day date not null,
    total_ml double precision not null,
    core_version varchar(20) not null,
    status varchar(12) not null
);
create index course_household on course (household_id, status);

create table dose_taken (
    id uuid primary key,
    household_id uuid not null references household,
    course_id uuid not null references course,
    on_day date not null,
    slot int not null,
    ml double precision not null,
    ticked_by varchar(120) not null,
    ticked_at timestamptz not null,
    unique (course_id, on_day, slot)
);

create table plant_trial (
    id uuid primary key,
    household_id uuid not null references household,
    person_id uuid not null references person,
    taxon_id varchar(80) not null,
    on_day date not null,
    reaction varchar(300) not null,
    well boolean not null
);
create index plant_trial_person on plant_trial (person_id, taxon_id);

-- Spring Session
create table spring_session (
    primary_id char(36) not null primary key,
    session_id char(36) not null unique,
    creation_time bigint not null,
    last_access_time bigint not null,
    max_inactive_interval int not null,
    expiry_time bigint not null,
    principal_name varchar(100)
);
create index spring_session_expiry on spring_session (expiry_time);
create index spring_session_principal on spring_session (principal_name);
create table spring_session_attributes (
    session_primary_id char(36) not null references spring_session (primary_id) on delete cascade,
    attribute_name varchar(200) not null,
    attribute_bytes bytea not null,
    primary key (session_primary_id, attribute_name)
);
