-- An amended record that was signed without a further change kept "incomplete" beside it, and none of its entries were counted:
-- nobody signs an incomplete one, so what was signed is what it came to. The lists are made anew of it at the start.
update inspection set verdict = (select s.verdict from signature s where s.inspection_id = inspection.id)
    where state = 'SIGNED' and verdict = 'incomplete'
    and exists (select 1 from signature s where s.inspection_id = inspection.id);
update inspection set entry_count = (select max(e.sequence) from entry e where e.inspection_id = inspection.id)
    where entry_count < (select max(e.sequence) from entry e where e.inspection_id = inspection.id);
delete from worklist_row;
