-- Every document that is kept says in which schema it was written, and what was written in several columns is one.
alter table course alter column plan type jsonb using jsonb_build_object('schema', 1) || plan::jsonb;

alter table stand_identification add column look jsonb;
update stand_identification set look = jsonb_build_object('schema', 1, 'observations', observations::jsonb,
    'again', again::jsonb, 'verdict', verdict::jsonb);
alter table stand_identification alter column look set not null, drop column observations, drop column again,
    drop column verdict;

alter table harvest alter column tells type jsonb
    using jsonb_build_object('schema', 1, 'characters', coalesce(nullif(tells, ''), '[]')::jsonb);

alter table ground_shape rename column points to outline;
update ground_shape set outline = jsonb_build_object('schema', 1, 'points', outline);

-- The first plans did not say of what form they are; their batch does.
update batch set plan = plan || jsonb_build_object('form', kind) where plan ->> 'schema' = '1';
