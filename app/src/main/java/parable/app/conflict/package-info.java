/** What is asked when somebody else has changed the file of the open job. */
package parable.app.conflict;
