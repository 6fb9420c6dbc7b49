-- whether a later inspection of a weld stands is answered from the index alone
create index inspection_newest on inspection (joint_id, capacity, cycle, revision, state);
