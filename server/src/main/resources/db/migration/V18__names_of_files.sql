-- A file is published under its name: no two of a client have the same.
alter table client_file add constraint client_file_name unique (site_id, file_name);
