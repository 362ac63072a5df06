/** The step in which logic is a program: translating a relay sheet, the program live and to be changed, inputs and instructions, the comparison. */
package parable.app.program;
