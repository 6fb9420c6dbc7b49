-- A scan of a weld: its file lies beside the database under its sum; what was measured from it is kept here.
create table scan (
    id              uuid         not null primary key,
    inspection_id   uuid         not null references inspection (id),
    name            varchar(120) not null,
    sha256          varchar(64)  not null,
    bytes           bigint       not null,
    gauge_id        uuid references gauge (id),
    work_id         uuid,
    drawn_as        uuid         not null,
    state           varchar(20)  not null,
    failure         varchar(500),
    measured        varchar(1000000),
    measured_sha256 varchar(64),
    measured_by     varchar(60),
    added_by        uuid         not null references person (id),
    added_at        timestamp with time zone not null,
    withdrawn       boolean      not null
);
create index scan_by_inspection on scan (inspection_id);
create table scan_aud (
    rev             bigint not null references revinfo (rev),
    id              uuid   not null,
    revtype         ${tiny},
    inspection_id   uuid,
    name            varchar(120),
    sha256          varchar(64),
    bytes           bigint,
    gauge_id        uuid,
    work_id         uuid,
    drawn_as        uuid,
    state           varchar(20),
    failure         varchar(500),
    measured        varchar(1000000),
    measured_sha256 varchar(64),
    measured_by     varchar(60),
    added_by        uuid,
    added_at        timestamp with time zone,
    withdrawn       boolean,
    primary key (rev, id)
);
