/** From the nameplate to every rating: currents, wires, protection, transformers, brakes, heat, each result with its formula, its source and its limit. */
package parable.sizing;
