/** Imports every write, so a waiting one is known by its key whichever page is open. */
import './imports';
import './gardens';
import './places';
import './plants';
import './records';
import './varieties';
import './people';
import './photos';
import './watering-lists';
import './reports';
import './season';
import './settings';
import './products';
import './trials';
import './tasks';
import './water';
import './weather';
