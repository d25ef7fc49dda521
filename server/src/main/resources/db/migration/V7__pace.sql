-- how fast the shop says its crew works, as typed and in the base unit of its pace; without a row the log or a default says
create table shop_pace (
    work varchar(40) primary key,
    typed varchar(60) not null,
    base double precision not null
);

-- what was done is asked for over all jobs, to learn from
create index log_by_kind on log_entry (kind, subject);
