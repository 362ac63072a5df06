/** Rules: what is wrong with a circuit, said in one sentence each, worst first. */
package parable.check;
