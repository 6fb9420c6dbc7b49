-- Who must be told of what, each once; and where mail goes. The mailbox is the simulated one's, which ships with the demo.
alter table person add column mail varchar(254);
alter table person_aud add column mail varchar(1000);
create table notice (
    id          uuid         not null primary key,
    person_id   uuid         not null references person (id),
    about       varchar(120) not null,
    kind        varchar(20)  not null,
    words       varchar(500) not null,
    link        varchar(200) not null,
    raised_at   timestamp with time zone not null,
    seen_at     timestamp with time zone,
    mail_state  varchar(10)  not null,
    mail_tries  integer      not null,
    unique (person_id, about)
);
create index notice_to_mail on notice (mail_state);
create table kept_mail (
    id       uuid          not null primary key,
    mail_to  varchar(254)  not null,
    subject  varchar(200)  not null,
    content  varchar(4000) not null,
    sent_at  timestamp with time zone not null
);
create index defect_by_raised on defect (raised_at);
