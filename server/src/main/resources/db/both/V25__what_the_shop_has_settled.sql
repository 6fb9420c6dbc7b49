-- What the shop has settled for all its jobs, by name: which schools of practice it follows.
create table shop_setting (
    id      uuid          not null primary key,
    name    varchar(40)   not null unique,
    content varchar(4000) not null,
    version bigint        not null
);
create table shop_setting_aud (
    rev     bigint not null references revinfo (rev),
    id      uuid   not null,
    revtype ${tiny},
    name    varchar(40),
    content varchar(4000),
    primary key (rev, id)
);
