/** How drawings look on the screen: their colours by day and by night, and how large they are. */
package parable.app.look;
