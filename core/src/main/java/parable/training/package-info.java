/** Learning by doing: tasks in courses, each a panel or a drawing to be worked at, and what came of it. */
package parable.training;
