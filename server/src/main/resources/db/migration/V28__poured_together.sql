-- Two jars of the same poured into one: what is in it came out of both, and a count finds no more than that.
alter table lot add column together boolean not null default false;

-- Who took what of which lot is asked by lot.
create index if not exists course_lot on course (lot_id);
create index direct_use_lot on direct_use (lot_id) where lot_id is not null;
create index direct_use_stand on direct_use (stand_id) where stand_id is not null;
