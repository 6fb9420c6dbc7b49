-- How far each journal of seals went: one that goes less far was cut off, changed, or put back from an old copy.
create table seal_head (
    journal varchar(64) not null primary key, -- the sum of its first line
    fingerprint varchar(64) not null, -- of the key that seals in it
    lines integer not null,
    sha256 varchar(64) not null,
    kept_at timestamp with time zone not null
);
