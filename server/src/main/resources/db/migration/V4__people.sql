-- People have an id of their own, so that they can be renamed; one-time codes let them choose a
-- password; accounts of the demo are known as such.
create table person (
  id            varchar(64) primary key,
  name          varchar(80) not null,
  name_key      varchar(80) not null unique,
  password_hash varchar(100),
  code_hash     varchar(100),
  code_until    timestamp,
  demo          boolean not null,
  added         timestamp not null
);

insert into person (id, name, name_key, password_hash, demo, added)
  select lower(name), name, lower(name), password_hash, name in ('iris', 'tom'), current_timestamp
  from account;

drop table account;
