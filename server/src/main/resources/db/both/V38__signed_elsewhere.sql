-- A job that comes in an archive was signed at another installation: its records are never taken for this shop's own.
-- Sums over the rows stand in every record since they are kept; those of before are marked, so that a missing sum is a fault in all others.
alter table signature add column origin varchar(64);
alter table signature add column origin_seal varchar(2000);
alter table signature add column before_sums boolean;
update signature set before_sums = true where canonical not like '%"entriesSha256"%'
    or canonical not like '%"weldSha256"%' or canonical not like '%"picturesSha256"%';
alter table inspection add column signed_elsewhere varchar(64);
-- Whose signatures the quality manager takes as verified, and which jobs came in, when, by whom, from which file.
create table trusted_installation (
    id          uuid         not null primary key,
    fingerprint varchar(64)  not null unique,
    name        varchar(120) not null,
    trusted_by  uuid         not null references person (id),
    trusted_at  timestamp with time zone not null,
    version     bigint       not null
);
create table trusted_installation_aud (
    rev         bigint not null references revinfo (rev),
    id          uuid   not null,
    revtype     ${tiny},
    fingerprint varchar(64),
    name        varchar(120),
    trusted_by  uuid,
    trusted_at  timestamp with time zone,
    primary key (rev, id)
);
create table brought_job (
    id          uuid         not null primary key,
    job         uuid         not null,
    name        varchar(200) not null,
    archive_sha256 varchar(64)  not null,
    records     integer      not null,
    origins     varchar(1000) not null,
    brought_by  uuid         not null references person (id),
    brought_at  timestamp with time zone not null,
    version     bigint       not null
);
create table brought_job_aud (
    rev         bigint not null references revinfo (rev),
    id          uuid   not null,
    revtype     ${tiny},
    job         uuid,
    name        varchar(200),
    archive_sha256 varchar(64),
    records     integer,
    origins     varchar(1000),
    brought_by  uuid,
    brought_at  timestamp with time zone,
    primary key (rev, id)
);
