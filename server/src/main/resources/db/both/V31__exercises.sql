-- A made-up weld that somebody practices on: made anew from its seed, with what was recorded of it. Nothing of it is an inspection.
create table exercise (
    id        uuid           not null primary key,
    person_id uuid           not null references person (id),
    seed      bigint         not null,
    setting   varchar(1000)  not null,
    content   varchar(200000) not null,
    begun_at  timestamp with time zone not null,
    handed_at timestamp with time zone,
    study_id  uuid references study (id),
    subject   integer,
    pass      integer,
    place     integer,
    version   bigint         not null
);
create index exercise_by_person on exercise (person_id, begun_at);
create index exercise_by_study on exercise (study_id);
