-- Counts the changes of a household, so that what was reckoned of it can be kept until something changes.
create table household_change (
    household_id uuid primary key references household on delete cascade,
    changes bigint not null
);
