# frozen_string_literal: true

require_relative "../base"
require_relative "../../desk/kits/lid_labels"
require_relative "../../desk/stack_labels"
require_relative "../../exchange/label_sheet"
require_relative "../../exchange/pdf_picture"

module NutShelf
  module Api
    # Labels to print: sheets as PDF, one label as PNG.
    class Labels < Base
      MOST = Core::Limits::LABELS
      set :address, ""

      get("/grids") do
        json(
          {
            grids:
              Exchange::LabelGrid::ALL.values.map { |grid| { key: grid.key, name: grid.name, per_page: grid.per_page } }
          }
        )
      end

      get("/sheet.pdf") do
        grid = grid(params[:grid] || "3x8")
        skip = number_param(:skip, 0, 0..200)
        labels = labels(number_param(:copies, 1, 1..200))
        content_type "application/pdf"
        headers "content-disposition" => "inline; filename=\"labels.pdf\""
        Exchange::LabelSheet.new(grid, skip: skip).render(labels)
      end

      get("/lids.pdf") do
        grid = grid(params[:grid] || "3x8")
        skip = number_param(:skip, 0, 0..200)
        lids = read_only { |work| Desk::Kits::LidLabels.new(work, work.house.kits.find(id_param(:kit)), address).call }
        refuse("not_fit", "No box of this kit is packed yet.", "Pack one first, then print its lid.") if lids.empty?
        content_type "application/pdf"
        headers "content-disposition" => "inline; filename=\"lids.pdf\""
        Exchange::LabelSheet.new(grid, skip: skip).render(lids)
      end

      get("/label.png") do
        pdf = Exchange::LabelSheet.new(Exchange::LabelGrid::ALL.fetch("roll")).render(labels(1).first(1))
        content_type "image/png"
        Exchange::PdfPicture.page(pdf)
      rescue Exchange::PdfPicture::Missing
        refuse(
          "not_here",
          "Pictures of labels cannot be made on this machine.",
          "Install poppler-utils, or print the PDF."
        )
      end

      helpers do
        # Where a phone finds the house: a setting, never what the request says.
        def address = settings.address

        def grid(key)
          Exchange::LabelGrid::ALL[key] ||
            refuse(
              "invalid",
              "There is no such sheet of labels.",
              "Use one of #{Exchange::LabelGrid::ALL.keys.join(", ")}.",
              errors: [{ pointer: "/grid", detail: "It is not known." }]
            )
        end

        # Comma-separated stacks, each so many times.
        def labels(copies)
          ids =
            params[:stacks].to_s.split(",").map do |text|
              if text.match?(/\A[1-9]\d{0,17}\z/)
                text.to_i
              else
                refuse(
                  "invalid",
                  "#{text} is no stack.",
                  "Choose stacks.",
                  errors: [{ pointer: "/stacks", detail: "Numbers, with commas between." }]
                )
              end
            end
          if ids.empty?
            refuse(
              "invalid",
              "It does not say which stacks.",
              "Choose stacks.",
              errors: [{ pointer: "/stacks", detail: "It is missing." }]
            )
          end
          if ids.size * copies > MOST
            refuse(
              "invalid",
              "That is more than #{MOST} labels.",
              "Print them in parts.",
              errors: [{ pointer: "/copies", detail: "Too many." }]
            )
          end
          caller = caller!
          services.database.within(caller.household_id) do |db|
            Desk::StackLabels
              .new(Desk::UnitOfWork.new(services, caller, db), address)
              .of(ids)
              .flat_map { |label| [label] * copies }
          end
        end
      end
    end
  end
end
