/** Measurements of speed; their last results stand in docs/benchmarks.md. */
package parable.benchmark;
