-- The signatures of a job are chained: each record names the sum of the one before it. Those of before have their place only.
alter table signature add column job_id uuid references job (id);
alter table signature add column place integer;
update signature s set job_id = (
    select j.job_id from inspection i join joint j on j.id = i.joint_id where i.id = s.inspection_id);
update signature s set place = (
    select count(*) from signature o
    where o.job_id = s.job_id and (o.signed_at < s.signed_at or (o.signed_at = s.signed_at and o.id <= s.id)));
alter table signature alter column job_id set not null;
alter table signature alter column place set not null;
create unique index signature_by_place on signature (job_id, place);
