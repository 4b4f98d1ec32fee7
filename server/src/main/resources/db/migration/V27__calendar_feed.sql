-- Addresses at which a calendar program reads what is due. Of the secret in the address only a digest is kept.
create table calendar_feed (
    id uuid primary key,
    household_id uuid not null references household,
    version bigint not null,
    changed_by varchar(120) not null,
    changed_at timestamptz not null,
    account_id uuid not null references account,
    made_by varchar(120) not null,
    made_at timestamptz not null,
    secret_digest varchar(64) not null unique,
    of_what varchar(200) not null,
    in_full boolean not null,
    alarm varchar(20) not null,
    last_read_at timestamptz,
    ended_at timestamptz
);
create index calendar_feed_standing on calendar_feed (household_id) where ended_at is null;
