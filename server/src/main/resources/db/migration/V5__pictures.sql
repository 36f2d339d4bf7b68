-- Vector pictures are kept as they were rebuilt from what is allowed; those taken in before that are
-- rebuilt at the next start.
alter table picture add column rebuilt boolean default false not null;
update picture set rebuilt = true where media_type <> 'image/svg+xml';
