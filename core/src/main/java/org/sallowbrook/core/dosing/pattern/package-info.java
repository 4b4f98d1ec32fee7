/** On which days of a course doses are taken, and how often on each. One pattern is one file and one permits line. */
@NullMarked
package org.sallowbrook.core.dosing.pattern;

import org.jspecify.annotations.NullMarked;
