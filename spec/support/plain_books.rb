# frozen_string_literal: true

# The look back's sums straight from the rows of the ledger, by another way than the house's own.
module PlainBooks
  OUT = %w[eaten given_away animals composted binned lost].freeze

  module_function

  # @param db [Sequel::Database] inside the wall
  # @param from [Date]
  # @param to [Date]
  # @return [Hash{String=>Integer}] way out to minor units: what a cook drew is eaten but for what it put aside
  def left(db, from, to)
    sums = Hash.new(0)
    standing(db).select { |row| row[:occurred_on].between?(from, to) }.group_by { |row| row[:act_id] }
      .each_value do |rows|
        drew = rows.any? { |row| row[:reason] == "cooked" }
        rows.each { |row| add(sums, row, drew) }
      end
    OUT.to_h { |way| [way, sums[way]] }
  end

  # @return [Integer] minor units in the house on the evening of a day
  def worth(db, day) = standing(db).select { |row| row[:occurred_on] <= day }.sum { |row| row[:value_minor] }

  def add(sums, row, drew)
    way = row[:reason] == "cooked" || (row[:reason] == "made" && drew) ? "eaten" : row[:reason]
    sums[way] -= row[:value_minor] if OUT.include?(way)
  end

  def standing(db)
    taken_back = db.fetch("SELECT undoes_act_id FROM acts WHERE undoes_act_id IS NOT NULL").map do |row|
      row[:undoes_act_id]
    end
    db.fetch("SELECT m.*, a.occurred_on, a.undoes_act_id FROM movements m JOIN acts a ON a.id = m.act_id").all
      .reject { |row| row[:undoes_act_id] || taken_back.include?(row[:act_id]) }
  end
end
