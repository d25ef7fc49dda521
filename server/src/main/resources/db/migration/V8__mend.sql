-- where a floor lies is asked for what the sun does to it, and may be unknown
alter table job alter column latitude drop not null;
alter table job alter column longitude drop not null;

-- two instruments never have one name, however it is written; of those that have from before, the first keeps it
create table instrument_name (
    name_key varchar(120) primary key,
    instrument_id uuid not null references instrument (id)
);
insert into instrument_name (name_key, instrument_id)
select lower(name), id from instrument i
where not exists (select 1 from instrument o where lower(o.name) = lower(i.name) and cast(o.id as varchar(36)) < cast(i.id as varchar(36)));

-- an entry is struck once
create table struck (
    entry_key uuid primary key references log_entry (entry_key),
    strike_key uuid not null references log_entry (entry_key)
);
insert into struck (entry_key, strike_key)
select e.entry_key, s.entry_key from log_entry s join log_entry e on cast(e.entry_key as varchar(36)) = s.subject
where s.kind = 'STRIKE' and not exists (
    select 1 from log_entry o where o.kind = 'STRIKE' and o.subject = s.subject and o.ordinal < s.ordinal);

-- the newest of a series are found without reading the others
create index sample_newest on sample (series_id, read_at desc, sample_id desc);
drop index sample_by_series;

-- how many samples of a series count, and how many a check set aside: told without reading them all
create table series_tally (
    series_id bigint not null references series (series_id),
    fault varchar(20) not null,
    number bigint not null,
    first_at timestamp(3) with time zone not null,
    last_at timestamp(3) with time zone not null,
    primary key (series_id, fault)
);
insert into series_tally (series_id, fault, number, first_at, last_at)
select series_id, coalesce(fault, ''), count(*), min(read_at), max(read_at) from sample
group by series_id, coalesce(fault, '');
