create table account (
  name          varchar(80) primary key,
  password_hash varchar(100) not null
);

create table picture (
  id         varchar(64) primary key,
  file_name  varchar(200) not null,
  media_type varchar(40) not null,
  width      int not null,
  height     int not null,
  bytes      blob not null
);

create table house_finishes (
  revision int primary key,
  document clob not null
);

create table site_value (
  site_id  varchar(64) not null,
  token_id varchar(64) not null,
  stored   varchar(300) not null,
  primary key (site_id, token_id)
);

create table piece (
  id       varchar(64) primary key,
  name     varchar(80) not null,
  purpose  varchar(200) not null,
  current_revision int not null,
  draft    clob,
  version  bigint not null
);

create table revision (
  piece_id varchar(64) not null references piece,
  number   int not null,
  note     varchar(500) not null,
  finishes int not null,
  released timestamp not null,
  withdrawn boolean not null,
  document clob not null,
  primary key (piece_id, number)
);

create table site (
  id       varchar(64) primary key,
  name     varchar(80) not null,
  language varchar(20) not null
);

create table adopted (
  site_id  varchar(64) not null references site,
  piece_id varchar(64) not null references piece,
  revision int not null,
  primary key (site_id, piece_id)
);

create table page (
  id       varchar(64) primary key,
  site_id  varchar(64) not null references site,
  title    varchar(120) not null,
  address  varchar(200) not null,
  description varchar(500) not null,
  document clob not null,
  changed  timestamp not null,
  version  bigint not null,
  unique (site_id, address)
);

-- Who uses what, kept beside the documents and written with them.
create table placement (
  page_id  varchar(64) not null references page on delete cascade,
  id       varchar(64) not null,
  site_id  varchar(64) not null,
  piece_id varchar(64) not null,
  pinned   int,
  held     boolean not null,
  changes  int not null,
  primary key (page_id, id)
);
create index placement_piece on placement (piece_id);

create table edit_step (
  id          bigint generated always as identity primary key,
  document_id varchar(80) not null,
  label       varchar(200) not null,
  step        clob not null,
  undone      boolean not null
);
create index edit_step_document on edit_step (document_id, id);

create table rollout (
  id         bigint generated always as identity primary key,
  piece_id   varchar(64) not null references piece,
  revision   int not null,
  applied    timestamp not null,
  applied_by varchar(80) not null,
  taken_back timestamp,
  stood      clob not null,
  version    bigint not null
);

create table published_file (
  site_id    varchar(64) not null references site,
  path       varchar(300) not null,
  media_type varchar(60) not null,
  bytes      blob not null,
  primary key (site_id, path)
);

create table publication (
  site_id   varchar(64) primary key references site,
  published timestamp not null,
  pages     int not null,
  written   int not null
);
