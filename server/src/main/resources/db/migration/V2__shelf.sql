-- which sheet of each slug stands on the shelf: a sheet may be put back as it was, and a job file brings sheets along
-- that do not belong there
create table shelf (
    slug varchar(60) primary key,
    digest varchar(64) not null references sheet (digest)
);

insert into shelf (slug, digest)
select slug, digest from sheet s
where ordinal = (select max(n.ordinal) from sheet n where n.slug = s.slug);
