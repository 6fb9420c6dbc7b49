-- Jobs, procedures, welders, gauges, and what was recorded of a weld's making.
create table job (
    id         uuid         not null primary key,
    name       varchar(120) not null unique,
    criteria   varchar(40)  not null,
    units      varchar(4)   not null,
    document   clob         not null,
    created_at timestamp with time zone not null,
    created_by uuid         not null references person (id),
    version    bigint       not null
);

-- A job was a word on each joint; one job for each word, book and unit.
insert into job (id, name, criteria, units, document, created_at, created_by, version)
select random_uuid(),
       case when exists (select 1 from joint o where o.job = g.job and (o.units < g.units or o.units = g.units and o.criteria < g.criteria))
            then left(g.job, 80) || ' (' || g.units || ', ' || g.criteria || ')' else g.job end,
       g.criteria, g.units, '{}', g.at, g.by_whom, 0
from (select job, criteria, units, min(created_at) as at, min(created_by) as by_whom from joint group by job, criteria, units) g;

alter table joint add column job_id uuid references job (id);
update joint j set job_id = (
    select k.id from job k where k.criteria = j.criteria and k.units = j.units
       and (k.name = j.job or k.name = left(j.job, 80) || ' (' || j.units || ', ' || j.criteria || ')')
    order by length(k.name) desc limit 1);
alter table joint alter column job_id set not null;
alter table joint drop column job;

create table wps (
    id         uuid        not null primary key,
    number     varchar(40) not null,
    revision   varchar(20) not null,
    document   clob        not null,
    created_at timestamp with time zone not null,
    created_by uuid        not null references person (id),
    version    bigint      not null,
    unique (number, revision)
);

alter table joint add column procedure_id uuid references wps (id);
alter table joint add column drawing varchar(60);
alter table joint add column drawing_rev varchar(20);
alter table joint add column welded_at timestamp with time zone;
alter table joint add column design varchar(64) default '' not null;
alter table joint add column fitted_gaps clob;
create index joint_by_job on joint (job_id);
create index joint_by_design on joint (design);

create table making_entry (
    id            uuid        not null primary key,
    joint_id      uuid        not null references joint (id),
    sequence      integer     not null,
    kind          varchar(20) not null,
    content       clob        not null,
    entered_by    uuid        not null references person (id),
    entered_at    timestamp with time zone not null,
    withdrawn     boolean     not null,
    withdrawn_why varchar(200),
    version       bigint      not null
);
create index making_by_joint on making_entry (joint_id, sequence);

create table welder (
    stamp          varchar(60)  not null primary key,
    name           varchar(120) not null,
    qualifications clob         not null,
    version        bigint       not null
);

create table gauge (
    id        uuid        not null primary key,
    name      varchar(60) not null unique,
    kind      varchar(60) not null,
    division  varchar(20),
    reach     varchar(20),
    serial    varchar(60) not null,
    due       date,
    found_out date,
    version   bigint      not null
);

create table kit (
    id        uuid not null primary key,
    person_id uuid not null references person (id),
    kit_day   date not null,
    gauges    clob not null,
    version   bigint not null,
    unique (person_id, kit_day)
);

alter table person add column certificate_until date;
alter table person add column eye_test_until date;
alter table person add column capacity varchar(20);

-- A look is the fabricator's or the owner's: separate records of one weld.
alter table inspection add column capacity varchar(20) default 'QC' not null;
update inspection i set capacity = (select s.capacity from signature s where s.inspection_id = i.id)
 where exists (select 1 from signature s where s.inspection_id = i.id);

alter table handover add column from_place varchar(40);
alter table handover add column to_place varchar(40);
