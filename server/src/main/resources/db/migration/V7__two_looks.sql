-- Who looked, at which plants, and what was said when asked again.
alter table stand_identification add column looked_by uuid;
alter table stand_identification add column other_plants boolean not null default false;
alter table stand_identification add column again text not null default '[]';

-- Medicines by the name on the packet, comma-separated; their classes are looked up.
alter table person add column medicine_names text not null default '';
