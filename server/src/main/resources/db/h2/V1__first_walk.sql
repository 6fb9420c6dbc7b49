create table person (
    id            uuid         not null primary key,
    login         varchar(60)  not null unique,
    name          varchar(120) not null,
    role          varchar(30)  not null,
    certificate   varchar(60),
    password_hash varchar(200) not null,
    active        boolean      not null,
    wrong_tries   integer      not null,
    locked_until  timestamp with time zone,
    version       bigint       not null
);

create table joint (
    id         uuid          not null primary key,
    job        varchar(120)  not null,
    lot        varchar(120)  not null,
    criteria   varchar(40)   not null,
    units      varchar(4)    not null,
    mark       varchar(60)   not null,
    weld_no    varchar(20),
    side       varchar(10),
    welder     varchar(60),
    wps        varchar(60),
    in_words   varchar(200)  not null,
    position   varchar(4),
    document   clob          not null,
    created_at timestamp with time zone not null,
    created_by uuid          not null references person (id),
    version    bigint        not null
);
create index joint_by_mark on joint (mark);

create table inspection (
    id          uuid        not null primary key,
    joint_id    uuid        not null references joint (id),
    stage       varchar(20) not null,
    revision    integer     not null,
    amends      uuid references inspection (id),
    reason      varchar(500),
    state       varchar(20) not null,
    holder      uuid references person (id),
    started_at  timestamp with time zone not null,
    conditions  clob        not null,
    verdict     varchar(20) not null,
    rejects     integer     not null,
    todos       integer     not null,
    entry_count integer     not null,
    version     bigint      not null
);
create index inspection_by_joint on inspection (joint_id);

create table entry (
    id            uuid        not null primary key,
    inspection_id uuid        not null references inspection (id),
    sequence      integer     not null,
    kind          varchar(20) not null,
    content       clob        not null,
    entered_by    uuid        not null references person (id),
    entered_at    timestamp with time zone not null,
    withdrawn     boolean     not null,
    withdrawn_why varchar(200),
    version       bigint      not null
);
create index entry_by_inspection on entry (inspection_id, sequence);

create table handover (
    id            uuid not null primary key,
    inspection_id uuid not null references inspection (id),
    from_person   uuid not null references person (id),
    to_person     uuid not null references person (id),
    note          varchar(500),
    at            timestamp with time zone not null,
    version       bigint not null
);

create table signature (
    id            uuid         not null primary key,
    inspection_id uuid         not null unique references inspection (id),
    verdict       varchar(20)  not null,
    person_id     uuid         not null references person (id),
    signed_name   varchar(120) not null,
    certificate   varchar(60),
    capacity      varchar(20)  not null,
    signed_at     timestamp with time zone not null,
    canonical     clob         not null,
    sha256        varchar(64)  not null,
    version       bigint       not null
);

create table disposition (
    id            uuid        not null primary key,
    inspection_id uuid        not null references inspection (id),
    finding       varchar(40) not null,
    decision      varchar(30) not null,
    note          varchar(500),
    document_no   varchar(60),
    document_by   varchar(120),
    document_date date,
    decided_by    uuid        not null references person (id),
    decided_at    timestamp with time zone not null,
    version       bigint      not null,
    unique (inspection_id, finding)
);
