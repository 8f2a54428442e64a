/*
 * The parts of the sound package that are used. Its whole face would begin a clock in a blob worker as soon as it is loaded, which the page's
 * policy forbids; the parts wait until a context is made.
 */
import 'tone/build/esm/core/clock/Transport.js';
import 'tone/build/esm/core/context/Destination.js';
import 'tone/build/esm/core/util/Draw.js';

export { Context } from 'tone/build/esm/core/context/Context.js';
export { Gain } from 'tone/build/esm/core/context/Gain.js';
export { getContext, setContext, start } from 'tone/build/esm/core/Global.js';
export { Filter } from 'tone/build/esm/component/filter/Filter.js';
export { Synth } from 'tone/build/esm/instrument/Synth.js';
