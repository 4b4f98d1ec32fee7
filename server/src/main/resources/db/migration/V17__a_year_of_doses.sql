-- A person's year of doses is summed from the index alone, course by course.
drop index dose_taken_slot;
create unique index dose_taken_slot on dose_taken (course_id, on_day, slot) include (household_id, ml)
    where struck_at is null;
