-- A look after a repair: which look it follows, and what was repaired since.
alter table inspection add column cycle integer default 0 not null;
alter table inspection add column follows uuid references inspection (id);
alter table inspection add column repaired varchar(100000);

-- A rejected place, from its number to its closing.
create table defect (
    id            uuid         not null primary key,
    job_id        uuid         not null references job (id),
    joint_id      uuid         not null references joint (id),
    capacity      varchar(20)  not null,
    number        integer      not null,
    look_id       uuid         not null references inspection (id),
    first_look_id uuid         not null references inspection (id),
    place_index   integer      not null,
    finding       varchar(60)  not null,
    criterion     varchar(30)  not null,
    kind          varchar(60)  not null,
    entries       varchar(10000) not null,
    place_from    varchar(60),
    place_to      varchar(60),
    words         varchar(1000) not null,
    raised_at     timestamp with time zone not null,
    raised_by     uuid         not null references person (id),
    told          varchar(200),
    told_at       timestamp with time zone,
    told_by       uuid references person (id),
    cycle         integer      not null,
    state         varchar(30)  not null,
    disposition   varchar(30),
    note          varchar(500),
    cuts_apart    boolean      not null,
    decided_by    uuid references person (id),
    decided_at    timestamp with time zone,
    closed_why    varchar(300),
    closed_at     timestamp with time zone,
    changes       integer      not null,
    version       bigint       not null,
    unique (job_id, number)
);
create index defect_by_joint on defect (joint_id, capacity);
create index defect_by_look on defect (look_id);

-- What was recorded when a repair went on by one state.
create table repair_step (
    id             uuid        not null primary key,
    defect_id      uuid        not null references defect (id),
    cycle          integer     not null,
    state          varchar(30) not null,
    content        varchar(10000) not null,
    warnings       varchar(10000) not null,
    recorded_by    uuid        not null references person (id),
    recorded_at    timestamp with time zone not null,
    withdrawn_why  varchar(300),
    version        bigint      not null
);
create index repair_step_by_defect on repair_step (defect_id, recorded_at);

-- What waits for the Engineer's document, and the document that released it.
create table repair_hold (
    id            uuid        not null primary key,
    defect_id     uuid        not null references defect (id),
    cycle         integer     not null,
    kind          varchar(30) not null,
    raised_at     timestamp with time zone not null,
    document_no   varchar(60),
    document_by   varchar(120),
    document_date date,
    file_name     varchar(200),
    file_sha256   varchar(64),
    denied_why    varchar(500),
    released_by   uuid references person (id),
    released_at   timestamp with time zone,
    dropped       boolean     not null,
    version       bigint      not null
);
create index repair_hold_by_defect on repair_hold (defect_id);

create table document_file (
    sha256 varchar(64)  not null primary key,
    type   varchar(60)  not null,
    bytes  blob         not null
);

create table repair_photo (
    id        uuid        not null primary key,
    defect_id uuid        not null references defect (id),
    cycle     integer     not null,
    sha256    varchar(64) not null references photo_file (sha256),
    taken_by  uuid        not null references person (id),
    added_at  timestamp with time zone not null
);
create index repair_photo_by_defect on repair_photo (defect_id, added_at);
