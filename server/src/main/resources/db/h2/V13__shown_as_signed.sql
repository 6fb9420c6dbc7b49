-- What a signed record shows beyond its document: which readings decide, sections as they were drawn, notes of the contract.
alter table signature add column shown clob;
