/** Programs of a controller in the terms of IEC 61131-3: what they are, what a scan does, how they are written as Structured Text. */
package parable.program;
