package parable.app;

import parable.app.door.Placing;
import parable.app.job.JobModel;
import parable.app.job.Person;
import parable.app.look.Look;
import parable.app.sizing.SizingModel;

/**
 * What all sheets of a window have in common.
 *
 * @param jobs the open job
 * @param person who works at the window
 * @param look how the window is looked at
 * @param placing mounts devices elsewhere
 * @param sizing the sizing of the job
 * @param window what the window does for its pages
 */
record Workplace(JobModel jobs, Person person, Look look, Placing placing, SizingModel sizing, WindowActions window) {}
