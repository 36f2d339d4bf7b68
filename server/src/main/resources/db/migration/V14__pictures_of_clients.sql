-- A picture belongs to the house or to a client, says what it shows, and has sizes for each width.
alter table picture add column site_id varchar(64) default '' not null;
alter table picture add column alt varchar(300) default '' not null;
alter table picture add column decoration boolean default false not null;
alter table picture add column tags varchar(1000) default '' not null;
alter table picture add column focus_x double precision default 0.5 not null;
alter table picture add column focus_y double precision default 0.5 not null;
alter table picture add column away boolean default false not null;
-- Counted up with every new file; those before it are kept, so that any can be put back.
alter table picture add column file_version int default 0 not null;

create table picture_before (
  picture_id   varchar(64) not null references picture,
  file_version int not null,
  file_name    varchar(200) not null,
  media_type   varchar(40) not null,
  width        int not null,
  height       int not null,
  bytes        blob not null,
  primary key (picture_id, file_version)
);

create table picture_size (
  picture_id   varchar(64) not null references picture,
  file_version int not null,
  width        int not null,
  bytes        blob not null,
  primary key (picture_id, file_version, width)
);
