-- A photo may belong to one look at the stand, so that a verdict can be judged again by what was seen that day.
alter table photo add column identification_id uuid references stand_identification;
create index photo_identification on photo (identification_id);
