-- What fills the slots of a site that are filled once for all its pages.
create table site_filling (
  site_id varchar(64) not null references site,
  node    varchar(64) not null,
  field   varchar(40) not null,
  content clob not null,
  stamp   bigint not null,
  primary key (site_id, node, field)
);
