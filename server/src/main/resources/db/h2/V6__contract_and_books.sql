-- What stood beside the book when a look was signed: the contract's limits and choices, the Engineer's documents, the gauges.
alter table inspection add column contract clob;

-- The uncertainty on a gauge's certificate (k = 2), as typed.
alter table gauge add column uncertainty varchar(20);

-- Who held a criteria book against the shop's own copy; the latest record of a book counts.
create table book_check (
    id           uuid         not null primary key,
    book         varchar(40)  not null,
    book_edition varchar(200) not null,
    copy_edition varchar(120) not null,
    checked_on   date         not null,
    checked_by   varchar(120) not null,
    differed     clob         not null,
    recorded_by  uuid         not null references person (id),
    recorded_at  timestamp with time zone not null
);
create index book_check_by_book on book_check (book, recorded_at);

-- What the Engineer allowed on one weld, by his document.
create table deviation (
    id            uuid         not null primary key,
    joint_id      uuid         not null references joint (id),
    content       clob         not null,
    recorded_by   uuid         not null references person (id),
    recorded_at   timestamp with time zone not null,
    withdrawn_why varchar(200)
);
create index deviation_by_joint on deviation (joint_id);

-- A gauge past its calibration that the quality manager let stand in one look, with the reason.
create table gauge_waiver (
    id            uuid         not null primary key,
    inspection_id uuid         not null references inspection (id),
    gauge         varchar(60)  not null,
    reason        varchar(500) not null,
    waived_by     uuid         not null references person (id),
    waived_at     timestamp with time zone not null,
    unique (inspection_id, gauge)
);
