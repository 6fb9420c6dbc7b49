-- How many hours the book has a joint of delayed steel wait after welding; null where it does not ask.
alter table joint add column delay_hours int;
update joint set delay_hours = 48 where document like '%"delayed":true%';
