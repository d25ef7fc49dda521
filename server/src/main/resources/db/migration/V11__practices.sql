-- which school a shop follows where practitioners do not agree, and where a job follows another; without a row the usual one
create table shop_practice (
    practice varchar(40) primary key,
    school varchar(40) not null
);

create table job_practice (
    job_id uuid not null references job (id),
    practice varchar(40) not null,
    school varchar(40) not null,
    primary key (job_id, practice)
);
