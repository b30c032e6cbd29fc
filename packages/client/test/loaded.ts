// Loads the checks of what comes from outside, which a page loads when it first needs them.
import '../src/checked.ts';
