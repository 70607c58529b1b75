package app.kemdro.web.records.product;

import java.time.LocalDate;
import org.jspecify.annotations.Nullable;

/**
 * What the house knows of a product.
 *
 * @param code short name, once in the house
 * @param family id of its family of materials
 * @param packSize contents of a pack in its unit: g, ml or pcs
 * @param price € a pack
 * @param monthsAfterOpening months it stays good once opened, 0 where the label says nothing
 * @param packs packs in the house, parts counted
 * @param solids share that stays when it dries, where the label says another than the family's
 * @param coat one normal coat in g/m², where it is laid otherwise than the family
 */
public record ProductValues(
        String code,
        String name,
        String family,
        String supplier,
        double packSize,
        String packUnit,
        double price,
        @Nullable LocalDate opened,
        int monthsAfterOpening,
        @Nullable LocalDate expires,
        double packs,
        @Nullable Double solids,
        @Nullable Double coat,
        String note,
        boolean retired) {}
