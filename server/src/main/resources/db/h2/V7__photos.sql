-- Counts every change of a look, so that another person's screen can ask cheaply whether it is still current.
alter table inspection add column changes integer default 0 not null;

-- A picture as it is kept, under the hash of its bytes: a revision shows the same picture without a copy.
create table photo_file (
    sha256    varchar(64) not null primary key,
    type      varchar(20) not null,
    width     integer     not null,
    height    integer     not null,
    bytes     blob        not null,
    thumbnail blob        not null
);

-- A picture of a look: at a place of the weld, or of one entry.
create table photo (
    id            uuid        not null primary key,
    inspection_id uuid        not null references inspection (id),
    entry_id      uuid        references entry (id),
    place         varchar(20),
    sha256        varchar(64) not null references photo_file (sha256),
    taken_by      uuid        not null references person (id),
    added_at      timestamp with time zone not null,
    withdrawn     boolean     not null
);
create index photo_by_inspection on photo (inspection_id, added_at);
