-- Pages that were taken away, as they were, until somebody brings them back.
create table gone_page (
  id          varchar(64) primary key,
  site_id     varchar(64) not null references site,
  title       varchar(120) not null,
  address     varchar(200) not null,
  description varchar(500) not null,
  kind        varchar(20) not null,
  parent_id   varchar(64) not null,
  position    int not null,
  ready       boolean not null,
  document    clob not null,
  version     bigint not null,
  -- What the site had adopted then.
  stamp       bigint not null,
  gone        timestamp not null,
  -- Addresses of before that led on to it, one on a line.
  former      clob not null
);
create index gone_page_site on gone_page (site_id);
