-- What is said of a piece besides what it shows, and what lists and searches ask of its document.
create table described (
  piece_id  varchar(64) primary key references piece,
  kind      varchar(20) not null,
  purpose   varchar(30) not null,
  tags      varchar(700) not null,
  notes     varchar(1000) not null,
  site_id   varchar(64) references site,
  retired   boolean not null,
  root_kind varchar(16) not null,
  variants  int not null,
  drafted   boolean not null,
  words     clob not null,
  changed   timestamp not null
);

-- What a piece was for was said in a sentence; the rest is found out when the application starts.
insert into described
  select id, '', '', '', purpose, null, false, '', 0, draft is not null, '', current_timestamp from piece;
alter table piece drop column purpose;
