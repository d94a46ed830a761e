// Every sum over HTTP, asked of one server: starting one, and reading all that it is made of, takes
// longer than most of these.
import './any-plan.cases.test';
import './finishes.cases.test';
import './learn.cases.test';
import './looped.cases.test';
import './measured.cases.test';
import './order.cases.test';
import './references.cases.test';
import './settings.cases.test';
import './shape.cases.test';
import './strips.cases.test';
import './wrong-input.cases.test';
