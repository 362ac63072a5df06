/** Measures the source of Parable: how long its methods and classes are, what is named twice, which packages make a circle. */
package parable.measure;
