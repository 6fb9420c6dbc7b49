-- A job's drawings with its welds pinned to their places. A sheet's picture is kept as any picture is; a newer revision stands for the one it replaces.
create table map_sheet (
    id           uuid           not null primary key,
    job_id       uuid           not null references job (id),
    name         varchar(120)   not null,
    revision     varchar(20)    not null,
    sha256       varchar(64)    not null,
    width        integer        not null,
    height       integer        not null,
    replaces     uuid,
    added_by     uuid           not null references person (id),
    added_at     timestamp with time zone not null,
    withdrawn    boolean        not null,
    version      bigint         not null
);
create index map_sheet_of_job on map_sheet (job_id, added_at);
-- Where on the sheet, as shares of its width and height. To be checked: near it the drawing changed with the revision.
create table map_pin (
    id           uuid           not null primary key,
    sheet_id     uuid           not null references map_sheet (id),
    joint_id     uuid           not null references joint (id),
    x            double precision not null,
    y            double precision not null,
    changed_near boolean        not null,
    unique (sheet_id, joint_id)
);
