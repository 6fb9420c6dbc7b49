-- Tables, columns and words under the names that the trade uses.
alter table making_entry rename to welding_entry;
alter table making_entry_aud rename to welding_entry_aud;
alter table look_tally rename to inspection_tally;
alter table book_check rename to criteria_check;
alter table book_check_aud rename to criteria_check_aud;

alter table defect alter column look_id rename to inspection_id;
alter table defect alter column first_look_id rename to first_inspection_id;
alter table defect alter column told rename to notified;
alter table defect alter column told_at rename to notified_at;
alter table defect alter column told_by rename to notified_by;
alter table defect_aud alter column look_id rename to inspection_id;
alter table defect_aud alter column first_look_id rename to first_inspection_id;
alter table defect_aud alter column told rename to notified;
alter table defect_aud alter column told_at rename to notified_at;
alter table defect_aud alter column told_by rename to notified_by;

update defect set state = 'ready-to-inspect' where state = 'ready-to-look';
update defect_aud set state = 'ready-to-inspect' where state = 'ready-to-look';
update repair_step set state = 'ready-to-inspect' where state = 'ready-to-look';
update repair_step_aud set state = 'ready-to-inspect' where state = 'ready-to-look';
