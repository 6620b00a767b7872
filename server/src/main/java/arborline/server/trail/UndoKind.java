package arborline.server.trail;

import arborline.server.account.Permission;

/**
 * A kind of deed that can be taken back, and what of it is kept for that.
 *
 * @param name under which it is stored, such as {@code tool.changed}
 * @param version of what is kept; one more whenever {@code keeps} changes its members, so that a
 *     deed kept by an older program is refused in words and not misread
 * @param keeps a record that says all that taking back needs
 * @param needs what somebody needs to take it back: the same as to do it
 */
public record UndoKind<D>(String name, int version, Class<D> keeps, Permission needs) {}
