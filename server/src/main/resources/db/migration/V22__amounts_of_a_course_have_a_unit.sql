-- What a course counts in is the product's own unit, grams or millilitres, and it is written beside the amounts: no column
-- calls grams of a salve or a powder millilitres.
alter table course rename column total_ml to total;
alter table course add column unit varchar(4);
update course set unit = upper(lot.unit) from lot where lot.id = course.lot_id;
alter table course alter column unit set not null, add check (unit in ('G', 'ML'));

alter table dose_taken rename column ml to amount;

-- What comes in pieces, cubes of frozen tea, says what one holds. Those of before are taken by the mL, as they were.
alter table lot add column piece double precision check (piece > 0);
