/** What is heard of contactors and horns, where somebody wants it. */
package parable.app.sound;
