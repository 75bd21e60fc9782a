// Read by every Node that `npm test` begins. What a program does over and over, V8 compiles again to run faster; of what a
// test or a compiler does in half a minute, most is done before that pays. It waits fifteen times as long here.
import { setFlagsFromString } from 'node:v8';

setFlagsFromString('--interrupt-budget=2000000');
// For the threads that it begins: most of what a test makes is gone soon, and in a young generation four times as large
// less of it is copied before that is found out.
setFlagsFromString('--max-semi-space-size=64');
