-- Herb from a shop, what its label vouches for, and a doubt about a single lot.
alter table lot add column supplier varchar(120);
alter table lot add column label varchar(20);
alter table lot add column doubt varchar(300);
