// Stands in for next's mark of code for the server, where programs are bundled.
