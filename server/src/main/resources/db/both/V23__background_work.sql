-- What is done in the background waits in one queue, whatever it is: reports of many welds, weld lists checked and stored. Nothing
-- of it is older than two hours, so that the reports' own queue is given up with what waits in it.
drop table report_run;
create table background_work (
    id          uuid          not null primary key,
    kind        varchar(30)   not null,
    person_id   uuid          not null references person (id),
    title       varchar(1000) not null,
    wanted      varchar(4000) not null,
    given       ${bytes},
    asked_at    timestamp with time zone not null,
    state       varchar(20)   not null,
    done        integer       not null,
    of_all      integer       not null,
    stop_wanted boolean       not null,
    node        uuid,
    seen_at     timestamp with time zone,
    answer      varchar(1000000),
    failure     varchar(4000),
    made        ${bytes}
);
create index background_work_by_person on background_work (person_id, asked_at);
create index background_work_by_state on background_work (state, asked_at);
