-- where on the floor a repair's patch lies: its corners, as in log_entry
alter table zone_cycle add column ring varchar(20000);
