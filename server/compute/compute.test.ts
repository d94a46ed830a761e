// Every sum over HTTP, asked of one server: starting one, and reading all that it is made of, takes
// longer than most of these.
import './any-plan.cases';
import './finishes.cases';
import './learn.cases';
import './looped.cases';
import './measured.cases';
import './order.cases';
import './references.cases';
import './settings.cases';
import './shape.cases';
import './strips.cases';
import './wrong-input.cases';
