-- wrong tries are counted in memory, by login and by where they come from
alter table person drop column wrong_tries;
alter table person drop column locked_until;
-- sessions begun under an older number are over
alter table person add column session_number integer default 0 not null;
-- one row at most: of several first visitors at once one makes the quality manager
create table first_person (
    one       smallint not null primary key check (one = 1),
    person_id uuid     not null references person (id)
);
