-- An exercise of an agreement study may be a real weld, as it was when the study began: then there is no seed's truth behind it.
alter table exercise add column weld varchar(200000);
