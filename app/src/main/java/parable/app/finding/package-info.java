/** Finding what is wrong at a real panel: what it does, the next best look, what it is and how it is mended. */
package parable.app.finding;
