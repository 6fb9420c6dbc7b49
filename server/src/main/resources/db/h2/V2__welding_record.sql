-- What was actually used to make the weld: one record per joint, in the shape of the inspection format.
alter table joint add column welding clob default '{}' not null;
