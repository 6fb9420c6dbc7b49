-- What is cut from a test piece is a specimen; the piece itself is another thing.
alter table test_piece rename to specimen;
alter table test_piece_aud rename to specimen_aud;
alter index test_piece_by_joint rename to specimen_by_joint;
alter index test_piece_aud_by_joint rename to specimen_aud_by_joint;
