-- 64 columns, each with its own name, channel, quantity and unit
alter table column_mapping alter column mapping set data type varchar(40000);
