-- A jar that was filled out of another one.
alter table lot add column split_from uuid references lot;
