/** Drawing by pointing: the places of the ladder where something can go, and what can go there. */
package parable.app.point;
