/** The steps of the job, each as a page of the window: what is in the middle, what is beside it, which keys it takes. */
package parable.app.step;
