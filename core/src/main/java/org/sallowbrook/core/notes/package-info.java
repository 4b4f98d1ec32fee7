/** What somebody writes down in their own words, about a thing or a place, and when they mean to come back. */
@NullMarked
package org.sallowbrook.core.notes;

import org.jspecify.annotations.NullMarked;
