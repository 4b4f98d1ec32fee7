package org.sallowbrook.server.field;
