-- The revision that a placement inside a piece names.
alter table placed alter column settled rename to bound;
