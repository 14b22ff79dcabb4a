/** Imports every feature's writes, so a waiting one is known by its key whichever page is open. */
import './files/writes';
import './garden/writes';
import './places/writes';
import './plant/writes';
import './records/writes';
import './kinds/writes';
import './people/writes';
import './photos/writes';
import './away/writes';
import './reports/writes';
import './season/writes';
import './settings/writes';
import './shed/writes';
import './trials/writes';
import './today/writes';
import './water/writes';
