-- A clock that is earlier than the last signature stops signing; the quality manager may confirm it, by name.
create table clock_confirmation (
    id uuid not null primary key,
    last_signed timestamp with time zone not null, -- the last signature then, by a clock that was ahead
    confirmed_at timestamp with time zone not null,
    confirmed_by uuid not null references person (id),
    reason varchar(300) not null
);
create index signature_signed_at on signature (signed_at);
