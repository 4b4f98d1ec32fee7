-- What was pressed from wet herb has a range of strength: the label says its upper end, keeping is judged by its lower one.
alter table lot add column strength_low_percent double precision;
