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

-- what counts of a series and what does not is found without reading all of it
create index sample_by_fault on sample (series_id, fault, read_at);
