-- What a prescriber or pharmacist said of a plant and what somebody takes: settles what no source says, or stops it.
create table professional_answer (
    id uuid primary key,
    household_id uuid not null references household,
    person_id uuid not null references person,
    taxon_id varchar(120) not null,
    who varchar(120) not null,
    goes boolean not null,
    words varchar(500) not null,
    on_day date not null,
    medicines varchar(2000) not null,
    noted_by varchar(120) not null,
    struck_at timestamptz,
    struck_by varchar(120),
    struck_reason varchar(300)
);
create index professional_answer_person on professional_answer (person_id, taxon_id);
create index professional_answer_household on professional_answer (household_id);
