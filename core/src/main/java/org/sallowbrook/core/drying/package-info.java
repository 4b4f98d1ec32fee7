/** Computes moisture from weighings and when a lot is dry; knows no storage. */
@NullMarked
package org.sallowbrook.core.drying;

import org.jspecify.annotations.NullMarked;
