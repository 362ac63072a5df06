/** The step of testing: the test sheet, what was found, and what is likely wrong. */
package parable.app.testing;
