-- What the worklist finds, groups and sorts by, kept beside: of each weld and side of the contract the newest inspection, and
-- the newest signed one, which is all that a viewer sees. It is made of the other tables and can be made of them again.
create table worklist_row (
    inspection_id uuid primary key,
    joint_id uuid not null,
    newest boolean not null,
    newest_signed boolean not null,
    work_group varchar(20) not null,
    work_order varchar(5000) not null,
    words varchar(5000) not null,
    job varchar(1200) not null,
    lot varchar(1200) not null,
    mark varchar(600) not null,
    in_words varchar(2000) not null,
    position varchar(40),
    welder varchar(200),
    wps varchar(200),
    stage varchar(40) not null,
    verdict varchar(20) not null,
    alike varchar(140)
);
create index worklist_row_order on worklist_row (newest, work_order);
create index worklist_row_group on worklist_row (newest, work_group, work_order);
create index worklist_row_signed on worklist_row (newest_signed, work_group, work_order);
create index worklist_row_joint on worklist_row (joint_id);
create index worklist_row_alike on worklist_row (alike);
