-- The picture that stands for a page where others show it; empty for none.
alter table page add column picture varchar(64) default '' not null;
alter table gone_page add column picture varchar(64) default '' not null;
