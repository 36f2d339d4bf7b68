-- Pieces stand in pieces: a revision may follow from another piece's, and is kept as what differs.
alter table revision alter column document set null;
alter table revision add bound clob;
alter table revision add followed_piece varchar(64);
alter table revision add followed_revision int;
alter table revision alter column withdrawn rename to gone_back_on;

-- Who uses what, kept beside the documents and written with them: pages, pieces and their drafts.
drop table placement;
create table placed (
  owner_kind varchar(8) not null,
  owner_id   varchar(64) not null,
  path       varchar(600) not null,
  site_id    varchar(64),
  piece_id   varchar(64) not null,
  settled    int not null,
  pinned     int,
  held       boolean not null,
  changes    int not null,
  primary key (owner_kind, owner_id, path)
);
create index placed_piece on placed (piece_id, owner_kind);
create index placed_site on placed (site_id);

-- Raised with every change of what a site has adopted, with what was adopted before.
alter table site add stamp bigint not null default 0;
create table adoption (
  site_id  varchar(64) not null references site,
  stamp    bigint not null,
  piece_id varchar(64) not null,
  earlier  int not null,
  primary key (site_id, stamp, piece_id)
);

-- How many things stand directly on a page, so that nobody reads documents to count them.
alter table page add sections int;
