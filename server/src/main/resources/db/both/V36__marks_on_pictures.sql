-- Notes, arrows and measures on a picture, kept apart from it: the picture and what was signed stay as they are.
create table picture_mark (
    id        uuid          not null primary key,
    photo_id  uuid          not null references photo (id),
    content   varchar(4000) not null,
    added_by  uuid          not null references person (id),
    added_at  timestamp with time zone not null,
    withdrawn boolean       not null
);
create index picture_mark_of_photo on picture_mark (photo_id, added_at);
