-- A test piece is a thing of its own: with a weld at the bench or without, in the series of whoever welded it.
create table piece (
    id          uuid           not null primary key,
    number      varchar(60)    not null,
    welder      varchar(60)    not null,
    drill       varchar(60),
    made        date           not null,
    joint_id    uuid unique references joint (id),
    previous_id uuid references piece (id),
    content     varchar(10000) not null,
    withdrawn   boolean        not null,
    recorded_by uuid           not null references person (id),
    recorded_at timestamp with time zone not null,
    version     bigint         not null
);
create index piece_by_welder on piece (welder, made, recorded_at);
create index piece_by_made on piece (made, recorded_at);
create table piece_aud (
    rev         bigint not null references revinfo (rev),
    id          uuid   not null,
    revtype     ${tiny},
    number      varchar(60),
    welder      varchar(60),
    drill       varchar(60),
    made        date,
    joint_id    uuid,
    previous_id uuid,
    content     varchar(10000),
    withdrawn   boolean,
    recorded_by uuid,
    recorded_at timestamp with time zone,
    primary key (rev, id)
);

create table piece_picture (
    id        uuid        not null primary key,
    piece_id  uuid        not null references piece (id),
    sha256    varchar(64) not null,
    added_by  uuid        not null references person (id),
    added_at  timestamp with time zone not null,
    withdrawn boolean     not null
);
create index piece_picture_by_piece on piece_picture (piece_id);
create table piece_picture_aud (
    rev       bigint not null references revinfo (rev),
    id        uuid   not null,
    revtype   ${tiny},
    piece_id  uuid,
    sha256    varchar(64),
    added_by  uuid,
    added_at  timestamp with time zone,
    withdrawn boolean,
    primary key (rev, id)
);

-- A specimen and a rating belong to a weld at the bench, or to a piece that has none.
alter table specimen alter column joint_id drop not null;
alter table specimen add column piece_id uuid references piece (id);
alter table specimen_aud add column piece_id uuid;
alter table specimen add column picture varchar(64);
alter table specimen_aud add column picture varchar(64);
create index specimen_by_piece on specimen (piece_id);
alter table rating alter column inspection_id drop not null;
alter table rating add column piece_id uuid references piece (id);
alter table rating add column parts varchar(8000);
alter table rating add constraint rating_of_piece unique (piece_id, rated_by);
alter table rating_aud add column piece_id uuid;
alter table rating_aud add column parts varchar(8000);

-- A drill that the school wrote or changed; those that ship are files of the product.
create table drill (
    id        varchar(60)    not null primary key,
    content   varchar(20000) not null,
    withdrawn boolean        not null,
    version   bigint         not null
);
create table drill_aud (
    rev       bigint      not null references revinfo (rev),
    id        varchar(60) not null,
    revtype   ${tiny},
    content   varchar(20000),
    withdrawn boolean,
    primary key (rev, id)
);
create table handout (
    id        uuid         not null primary key,
    drill     varchar(60)  not null,
    welder    varchar(60)  not null,
    due       date         not null,
    given_by  uuid         not null references person (id),
    given_at  timestamp with time zone not null,
    withdrawn boolean      not null,
    version   bigint       not null
);
create index handout_by_welder on handout (welder);
create table handout_aud (
    rev       bigint not null references revinfo (rev),
    id        uuid   not null,
    revtype   ${tiny},
    drill     varchar(60),
    welder    varchar(60),
    due       date,
    given_by  uuid,
    given_at  timestamp with time zone,
    withdrawn boolean,
    primary key (rev, id)
);
