-- What an entry says is a line or two. As text it is read with its row; as a large object each one was fetched by itself,
-- hundreds of them with each key at the bench of a long weld.
alter table entry alter column content set data type varchar(100000);
alter table making_entry alter column content set data type varchar(100000);
