/** The test sheet of a starter: what to do, what must be found, and what is likely wrong if it is not. */
package parable.testsheet;
