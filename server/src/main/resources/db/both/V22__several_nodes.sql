-- Sessions that each of several nodes knows; the columns are those that Spring Session asks for.
create table spring_session (
    primary_id            char(36) not null primary key,
    session_id            char(36) not null unique,
    creation_time         bigint   not null,
    last_access_time      bigint   not null,
    max_inactive_interval integer  not null,
    expiry_time           bigint   not null,
    principal_name        varchar(100)
);
create index spring_session_expiry on spring_session (expiry_time);
create index spring_session_principal on spring_session (principal_name);
create table spring_session_attributes (
    session_primary_id char(36)     not null references spring_session (primary_id) on delete cascade,
    attribute_name     varchar(200) not null,
    attribute_bytes    ${bytes}     not null,
    primary key (session_primary_id, attribute_name)
);

-- How often something was stored that the worklist shows, and how often a weld came or went elsewhere in it.
create sequence worklist_shown;
create sequence worklist_moved;

-- Reports of many welds: what is asked for waits here, one node after the other takes one, and what was made is kept a while.
create table report_run (
    id          uuid          not null primary key,
    person_id   uuid          not null references person (id),
    title       varchar(1000) not null,
    job_id      uuid          not null,
    lot         varchar(1000),
    form        varchar(10)   not null,
    paper       varchar(20)   not null,
    asked_at    timestamp with time zone not null,
    state       varchar(20)   not null,
    done        integer       not null,
    welds       integer       not null,
    stop_wanted boolean       not null,
    node        uuid,
    seen_at     timestamp with time zone,
    file        ${bytes}
);
create index report_run_by_person on report_run (person_id, asked_at);
create index report_run_by_state on report_run (state, asked_at);
