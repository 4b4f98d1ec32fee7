-- Whom this household calls when something goes wrong; its own words, empty at first.
alter table household add column emergency_number varchar(60) not null default '',
    add column poison_centre varchar(120) not null default '';
