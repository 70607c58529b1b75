-- From here on every commit is on disk when it is acknowledged, as the address of the data source says.
SET WRITE_DELAY 0;
