# frozen_string_literal: true

require_relative "../base"
require_relative "../../desk/acts/import_stock"
require_relative "../../desk/stock_out"

module NutShelf
  module Api
    # Stock in and out as CSV.
    class Import < Base
      post("/preview") do
        input = body_as("ImportFile")
        caller = caller!
        services.database.within(caller.household_id) { |db| json preview(Desk::UnitOfWork.new(services, caller, db), input) }
      end

      post("/") { act(Desk::ImportStock, body_as("ImportFile")) }

      helpers do
        def preview(work, input)
          file = Desk::StockFile.new(work, input)
          problems = file.problems
          {
            encoding: file.file.encoding,
            delimiter: file.file.delimiter,
            decimal: file.file.decimal,
            columns: file.columns,
            fields: Exchange::Headings::FIELDS,
            rows: file.rows.map { |row| shown(work, row) },
            total: file.rows.size,
            problems: problems.map(&:to_h),
            problem_count: problems.size,
            unknown_foods: file.unknown_foods,
            unknown_places: file.unknown_places,
            unread: file.unread,
            notes: file.notes,
            before: file.before,
            heading: file.file.heading_line,
            first_lines: file.file.first_lines,
            ready: problems.empty? && file.rows.any?
          }
        end

        def shown(work, row)
          input = row.input or
            return { line: row.line, food: row.food_text, amount: "", place: nil, date: nil, price_minor: nil }
          {
            line: row.line,
            food: work.food(input[:food_id]).name,
            amount: words(work, input),
            place: work.place(input[:place_id]).name,
            date: input[:printed_on] || input[:made_on],
            price_minor: input[:price_minor]
          }
        end

        def words(work, input)
          return Core::Wording.counted(input[:count].to_r, input[:noun]) unless input[:amount]

          pack = Core::Quantity.of(input[:amount], input[:unit])
          Core::Wording.stack(pack * input[:count].to_r, pack: pack, measures: work.measures)
        end
      end
    end

    # The stock as CSV.
    class Export < Base
      get("/") do
        caller = caller!
        services.database.within(caller.household_id) do |db|
          content_type "text/csv", charset: "utf-8"
          attachment "stock.csv"
          Desk::StockOut.new(Desk::UnitOfWork.new(services, caller, db)).csv
        end
      end
    end
  end
end
