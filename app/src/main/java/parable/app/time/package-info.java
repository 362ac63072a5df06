/** Time: run, pause, slow motion, step by step, back. */
package parable.app.time;
