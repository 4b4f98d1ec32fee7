-- A stand of a plant nobody has a name for yet; one that was made by mistake goes with its looks, one that is no longer
-- watched is put away.
alter table stand alter column taxon_id drop not null;
alter table stand add column put_away_on date, add column put_away_reason text;
alter table stand_identification add column leads boolean not null default true;

alter table stand_identification drop constraint stand_identification_stand_id_fkey,
    add constraint stand_identification_stand_id_fkey foreign key (stand_id) references stand on delete cascade;
alter table photo drop constraint photo_stand_id_fkey,
    add constraint photo_stand_id_fkey foreign key (stand_id) references stand on delete cascade;
alter table tag drop constraint tag_stand_id_fkey,
    add constraint tag_stand_id_fkey foreign key (stand_id) references stand on delete cascade;
