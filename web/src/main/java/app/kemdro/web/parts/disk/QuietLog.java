package app.kemdro.web.parts.disk;

import ch.qos.logback.classic.Level;
import ch.qos.logback.classic.Logger;
import ch.qos.logback.classic.LoggerContext;
import ch.qos.logback.classic.turbo.TurboFilter;
import ch.qos.logback.core.spi.FilterReply;
import org.jspecify.annotations.Nullable;
import org.slf4j.LoggerFactory;
import org.slf4j.Marker;
import org.springframework.boot.context.event.ApplicationPreparedEvent;
import org.springframework.context.ApplicationListener;

/** Keeps a disk that fails from filling the log: {@link Disk} says it once, and once when it is over. */
public class QuietLog extends TurboFilter implements ApplicationListener<ApplicationPreparedEvent> {
    @Override
    public void onApplicationEvent(ApplicationPreparedEvent event) {
        if (LoggerFactory.getILoggerFactory() instanceof LoggerContext log
                && log.getTurboFilterList().stream().noneMatch(QuietLog.class::isInstance)) {
            setContext(log);
            start();
            log.addTurboFilter(this);
        }
    }

    @Override
    public FilterReply decide(
            @Nullable Marker marker,
            Logger logger,
            Level level,
            @Nullable String format,
            Object @Nullable [] params,
            @Nullable Throwable failed) {
        return failed != null && DiskTrouble.is(failed) ? FilterReply.DENY : FilterReply.NEUTRAL;
    }
}
