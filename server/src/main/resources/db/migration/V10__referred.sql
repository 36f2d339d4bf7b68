-- What every document refers to, written with it: tokens, named styles, schemes and pictures, and of
-- revisions also the revisions that they are bound to.
create table referred (
  owner_kind varchar(8) not null,
  owner_id   varchar(64) not null,
  revision   int not null,
  kind       varchar(8) not null,
  ref_id     varchar(100) not null,
  site_id    varchar(64),
  primary key (owner_kind, owner_id, revision, kind, ref_id)
);
create index referred_to on referred (kind, ref_id);
