-- one person of a small shop holds several roles: their names, with commas
alter table person alter column role rename to roles;
alter table person alter column roles varchar(120) not null;
alter table person_aud alter column role rename to roles;
alter table person_aud alter column roles varchar(120);
