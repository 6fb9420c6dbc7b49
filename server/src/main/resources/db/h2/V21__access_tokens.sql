-- What a script shows in place of a sign-in: the hash alone is kept.
create table access_token (
    id         uuid         not null primary key,
    person_id  uuid         not null references person (id),
    name       varchar(120) not null,
    scopes     varchar(60)  not null,
    hash       varchar(64)  not null unique,
    made_at    timestamp with time zone not null,
    ends_on    date         not null,
    last_used  timestamp with time zone,
    revoked_at timestamp with time zone,
    revoked_by uuid references person (id),
    version    bigint       not null
);
create index access_token_person on access_token (person_id);
create table access_token_aud (
    rev bigint not null references revinfo (rev),
    id uuid not null,
    revtype tinyint,
    person_id uuid,
    name varchar(1000),
    scopes varchar(60),
    ends_on date,
    revoked_at timestamp with time zone,
    revoked_by uuid,
    primary key (rev, id)
);
