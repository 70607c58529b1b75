package app.kemdro.web.records.habit;

import app.kemdro.core.habit.Money;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;

/** The house's money as stored; there is one. */
@Entity
@Table(name = "house_money")
class MoneyRow {
    static final int ONLY = 1;

    @Id
    private int id = ONLY;

    private String sign = "";
    private double perEuro;

    protected MoneyRow() {}

    MoneyRow(Money money) {
        sign = money.sign();
        perEuro = money.perEuro();
    }

    Money money() {
        return new Money(sign, perEuro);
    }
}
