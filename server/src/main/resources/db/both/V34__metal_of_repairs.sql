-- What the welding of a repair took, beside what was estimated before; absent is not known. A step that is taken back takes it with it.
create table repair_metal (
    step_id           uuid not null primary key references repair_step (id),
    defect_id         uuid not null references defect (id),
    cycle             integer not null,
    estimated_grams   double precision,
    estimated_minutes double precision,
    grams             double precision,
    minutes           double precision
);
create index repair_metal_of_defect on repair_metal (defect_id);
