-- A harvest and a look can be struck out as well; what stands on them is judged again.
alter table harvest add column struck_at timestamptz, add column struck_by varchar(120), add column struck_reason varchar(300);
alter table stand_identification add column struck_at timestamptz, add column struck_by varchar(120), add column struck_reason varchar(300);

-- When a batch was to be pressed, so that a pressing that was struck out leaves it as it was.
alter table batch add column planned_press_on date;
update batch set planned_press_on = press_on where status = 'STEEPING';

-- Simulated devices exist in the demo, and where a household wants them.
alter table household add column stand_ins boolean not null default false;

-- What goes how fast is read by date, not through every line there ever was.
create index lot_change_lately on lot_change (household_id, on_day) where struck_at is null;
