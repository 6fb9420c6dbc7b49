-- When the wait after welding of a delayed steel ends, until it was judged then: one indexed question instead of all joints.
alter table joint add column wait_ends_at timestamp with time zone;
update joint set wait_ends_at = dateadd('hour', delay_hours, welded_at) where delay_hours is not null and welded_at is not null;
create index joint_wait on joint (wait_ends_at);
