/** The window: starting it, its overall arrangement, opening and saving. */
package parable.app;
