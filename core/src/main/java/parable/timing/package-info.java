/** What can happen within the stated times: zones of times left, searches that keep to them, and how a story is played on the bench. */
package parable.timing;
