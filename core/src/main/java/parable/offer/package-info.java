/** What can be put at a place of the ladder by pointing at it: the likely things first, each as the sheet that it would make. */
package parable.offer;
