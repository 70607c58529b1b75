-- A migration is on disk whole or is done again: its single statements need not wait for the disk.
SET WRITE_DELAY 500;
