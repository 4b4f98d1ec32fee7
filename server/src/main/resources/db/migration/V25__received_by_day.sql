-- Requests carried out long ago are forgotten, the oldest first.
create index received_at on received (at);
