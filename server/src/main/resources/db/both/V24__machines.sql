-- The register of welding machines: what each can be switched to, how its arc force is marked, how its display stands.
create table machine (
    id      uuid          not null primary key,
    name    varchar(1000) not null unique,
    content varchar(4000) not null,
    version bigint        not null
);
create table machine_aud (
    rev     bigint not null references revinfo (rev),
    id      uuid   not null,
    revtype ${tiny},
    name    varchar(1000),
    content varchar(4000),
    primary key (rev, id)
);
