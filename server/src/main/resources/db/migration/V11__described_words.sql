-- Words stand in the row itself: a list of all pieces looked each of them up elsewhere before.
alter table described alter column words set data type varchar(4000);
