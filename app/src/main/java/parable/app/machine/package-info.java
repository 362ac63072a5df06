/** The driven machine: how hard it is on the motor, and how warm the overload release has become. */
package parable.app.machine;
