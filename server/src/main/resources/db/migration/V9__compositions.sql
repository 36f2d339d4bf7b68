-- Ordered sets of pieces that pages start from: a piece to a line, with its variant after a blank.
create table composition (
  id       varchar(64) primary key,
  name     varchar(80) not null,
  notes    varchar(300) not null,
  position int not null,
  pieces   varchar(4000) not null
);
