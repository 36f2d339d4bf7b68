-- Sets of pages that a client's site can start from: a title, and a piece to a line as in a composition.
create table site_set (
  id       varchar(64) primary key,
  name     varchar(80) not null,
  position int not null
);

create table site_set_page (
  set_id   varchar(64) not null references site_set on delete cascade,
  position int not null,
  title    varchar(120) not null,
  pieces   varchar(4000) not null,
  primary key (set_id, position)
);
