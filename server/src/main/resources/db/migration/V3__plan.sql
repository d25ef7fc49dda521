-- a plan is a document: every revision is kept, whatever it came from
create table plan_revision (
    job_id uuid not null references job (id),
    revision integer not null,
    came_from integer not null,
    body text not null,
    primary key (job_id, revision)
);

-- which revision stood from when on: editing, undoing and redoing alike are moves, and the last one holds
create table plan_move (
    job_id uuid not null references job (id),
    version integer not null,
    revision integer not null,
    moved_at timestamp(6) with time zone not null,
    primary key (job_id, version)
);
