/** The card of whatever is selected: the same in every step. */
package parable.app.card;
