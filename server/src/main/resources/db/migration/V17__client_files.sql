-- Files that a client's pages link to, such as a price list to print.
create table client_file (
  id           varchar(64) primary key,
  site_id      varchar(64) not null references site,
  file_name    varchar(120) not null,
  media_type   varchar(120) not null,
  size         int not null,
  file_version int not null,
  away         boolean default false not null,
  bytes        blob not null
);
create index client_file_site on client_file (site_id);
