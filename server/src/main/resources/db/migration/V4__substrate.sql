-- what a zone is made of and what it is for; floors from before were all concrete
alter table zone add column substrate varchar(20) default 'BARE_CONCRETE' not null;
alter table zone add column used_as varchar(20) default 'UNSAID' not null;
