-- What stands around the content of pages: shared parts are documents like pages, on none of which
-- they are listed; pages are filed under each other and have a kind.
alter table page add column shared boolean default false not null;
alter table page add column kind varchar(20) default 'page' not null;
alter table page add column parent_id varchar(64) default '' not null;
alter table page add column position int default 0 not null;
alter table page add column ready boolean default true not null;
alter table site add column filed bigint default 0 not null;
update page set kind = 'home' where address = '/';

-- What is said of a site as a whole, such as its rules of coverage, one document for each.
create table site_sheet (
  site_id  varchar(64) not null references site,
  about    varchar(20) not null,
  document clob not null,
  stamp    bigint not null,
  version  bigint not null,
  primary key (site_id, about)
);
