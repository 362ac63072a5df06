/** Learning: courses of tasks, one of them at work beside its drawing, and what came of it. */
package parable.app.learn;
