-- Each rater keeps a rating of one's own; before this the second took the place of the first.
create table rating_of (
    id            uuid          not null primary key,
    inspection_id uuid          not null references inspection (id),
    points        varchar(1000) not null,
    first_reason  varchar(200)  not null,
    second_reason varchar(200)  not null,
    rated_by      uuid          not null references person (id),
    rated_at      timestamp with time zone not null,
    version       bigint        not null,
    unique (inspection_id, rated_by)
);
insert into rating_of (id, inspection_id, points, first_reason, second_reason, rated_by, rated_at, version)
select inspection_id, inspection_id, points, first_reason, second_reason, rated_by, rated_at, version from rating;
drop table rating;
alter table rating_of rename to rating;

create table rating_of_aud (
    rev           bigint not null references revinfo (rev),
    id            uuid   not null,
    revtype       ${tiny},
    inspection_id uuid,
    rated_at      timestamp with time zone,
    rated_by      uuid,
    first_reason  varchar(1000),
    points        varchar(1000),
    second_reason varchar(1000),
    primary key (rev, id)
);
insert into rating_of_aud (rev, id, revtype, inspection_id, rated_at, rated_by, first_reason, points, second_reason)
select rev, inspection_id, revtype, inspection_id, rated_at, rated_by, first_reason, points, second_reason from rating_aud;
drop table rating_aud;
alter table rating_of_aud rename to rating_aud;
