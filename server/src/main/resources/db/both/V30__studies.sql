-- A study of gauges or of people, as its file says it. What a study found of a gauge stands with the gauge.
create table study (
    id          uuid            not null primary key,
    kind        varchar(20)     not null,
    title       varchar(120)    not null,
    content     varchar(1000000) not null,
    recorded_by uuid            not null references person (id),
    recorded_at timestamp with time zone not null,
    withdrawn   boolean         not null,
    version     bigint          not null
);
create index study_by_time on study (recorded_at);
create table study_aud (
    rev         bigint not null references revinfo (rev),
    id          uuid   not null,
    revtype     ${tiny},
    kind        varchar(20),
    title       varchar(120),
    content     varchar(1000000),
    recorded_by uuid,
    recorded_at timestamp with time zone,
    withdrawn   boolean,
    primary key (rev, id)
);
alter table gauge add column measured varchar(40);
alter table gauge add column measured_by varchar(200);
alter table gauge_aud add column measured varchar(40);
alter table gauge_aud add column measured_by varchar(200);
