-- The house's finishes are released like a piece; each site shows the revision that it has adopted.
alter table house_finishes add column note varchar(500) default '' not null;
alter table house_finishes add column released timestamp default current_timestamp not null;

create table finishes_draft (
  id       int primary key,
  document clob not null,
  edits    bigint not null,
  version  bigint not null
);

create table site_finishes (
  site_id  varchar(64) primary key,
  revision int not null
);

alter table site_value alter column stored set data type varchar(1000);

-- Named styles of a site's own.
create table site_style (
  site_id  varchar(64) not null,
  style_id varchar(64) not null,
  document clob not null,
  primary key (site_id, style_id)
);

create table client_font (
  id        varchar(64) primary key,
  site_id   varchar(64) not null,
  family    varchar(120) not null,
  least     int not null,
  greatest  int not null,
  format    varchar(20) not null,
  file_name varchar(200) not null,
  licence   varchar(500) not null,
  bytes     blob not null
);
create index client_font_site on client_font (site_id);

alter table site add column logo varchar(64);

-- Where a page's boxes stood in a browser, at one device, for one state of its HTML.
create table measured_page (
  page_id varchar(64) not null references page on delete cascade,
  device  varchar(10) not null,
  stamp   varchar(64) not null,
  boxes   clob not null,
  primary key (page_id, device)
);
