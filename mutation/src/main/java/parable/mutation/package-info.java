/** Lets the mutation tool try a random share of its mutants, the same for the same seed. */
package parable.mutation;
