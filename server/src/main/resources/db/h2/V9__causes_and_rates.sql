-- One thing was changed, and what the next weld showed of it.
create table trial (
    id            uuid         not null primary key,
    inspection_id uuid         not null references inspection (id),
    joint_id      uuid         not null references joint (id),
    welder        varchar(60),
    cause         varchar(30)  not null,
    trouble       varchar(60)  not null,
    words         varchar(500) not null,
    changed_by    uuid         not null references person (id),
    changed_at    timestamp with time zone not null,
    next_mark     varchar(120),
    showed        varchar(20),
    note          varchar(500),
    showed_by     uuid references person (id),
    showed_at     timestamp with time zone,
    version       bigint       not null
);
create index trial_by_welder on trial (welder);
create index trial_by_joint on trial (joint_id);

-- A specimen that was bent, broken or cut.
create table test_piece (
    id          uuid           not null primary key,
    joint_id    uuid           not null references joint (id),
    specimen    varchar(60)    not null,
    content     varchar(10000) not null,
    withdrawn   boolean        not null,
    recorded_by uuid           not null references person (id),
    recorded_at timestamp with time zone not null
);
create index test_piece_by_joint on test_piece (joint_id, recorded_at);

-- How well a coupon is made: for teaching, apart from pass and fail.
create table rating (
    inspection_id uuid          not null primary key references inspection (id),
    points        varchar(1000) not null,
    first_reason  varchar(200)  not null,
    second_reason varchar(200)  not null,
    rated_by      uuid          not null references person (id),
    rated_at      timestamp with time zone not null,
    version       bigint        not null
);

-- What each signed look adds to the rates, as it stood at the signature.
create table look_tally (
    inspection_id uuid not null primary key references inspection (id),
    joint_id      uuid not null references joint (id),
    welder        varchar(60),
    procedure     varchar(80),
    position      varchar(10),
    electrode     varchar(60),
    length_mm     double precision not null,
    places        integer not null,
    signed_at     timestamp with time zone not null
);
create index look_tally_by_joint on look_tally (joint_id);

create table place_tally (
    id            uuid        not null primary key,
    inspection_id uuid        not null references look_tally (inspection_id) on delete cascade,
    trouble       varchar(60) not null,
    cause         varchar(30),
    places        integer     not null
);
create index place_tally_by_look on place_tally (inspection_id);
